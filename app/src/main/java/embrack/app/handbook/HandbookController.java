package embrack.app.handbook;

import embrack.app.frame.Room;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Shows the page of a room; of an address that is no room, that of the first. */
@Controller
class HandbookController {

    @GetMapping("/handbook")
    String first() {
        return "redirect:/handbook/" + Room.GEAR.key();
    }

    @GetMapping("/handbook/{room:[a-z]+}")
    String room(@PathVariable String room, Model page) {
        Optional<Room> found =
                Stream.of(Room.values()).filter(r -> r.key().equals(room)).findFirst();
        page.addAttribute("rooms", Stream.of(Room.values()).map(Room::key).toList());
        return found.map(r -> {
                    page.addAttribute("room", r.key());
                    return "handbook/" + r.key();
                })
                .orElseGet(this::first);
    }
}
