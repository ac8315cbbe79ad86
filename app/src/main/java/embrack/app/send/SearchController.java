package embrack.app.send;

import embrack.app.store.Bench;
import embrack.app.store.Hand;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.compile.Sending;
import embrack.core.edit.GearEdit;
import embrack.core.edit.Refused;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import embrack.core.rig.DeviceId;
import embrack.core.send.Quiet;
import embrack.core.send.Search;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** What a box answers to is looked for, within limits that somebody sets. */
@Controller
@RequestMapping("/rigs/{id}/line/send/search")
class SearchController {

    private static final Map<String, MessageType> TYPES = Map.of(
            "note", MessageType.NOTE_ON, "control", MessageType.CONTROL_CHANGE, "program", MessageType.PROGRAM_CHANGE);

    private final RigStore rigs;
    private final Sendings sendings;
    private final Gatekeeper gatekeeper;
    private final SendRoom room;

    SearchController(RigStore rigs, Sendings sendings, Gatekeeper gatekeeper, SendRoom room) {
        this.rigs = rigs;
        this.sendings = sendings;
        this.gatekeeper = gatekeeper;
        this.room = room;
    }

    /** Begins to look. {@code how} by halves, or one by one. */
    @PostMapping("/begin")
    String begin(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String box,
            @RequestParam(defaultValue = "") String type,
            @RequestParam(defaultValue = "") String first,
            @RequestParam(defaultValue = "") String last,
            @RequestParam(defaultValue = "") String low,
            @RequestParam(defaultValue = "") String high,
            @RequestParam(defaultValue = "halves") String how,
            @RequestParam(defaultValue = "false") boolean yes) {
        StoredRig stored = rigs.load(id);
        DeviceId device = SendController.required(stored, box);
        MessageType wanted = Optional.ofNullable(TYPES.get(type))
                .orElseThrow(() -> Refused.text("type", "Choose what is looked among."));
        Channel from = Refused.at("first", () -> new Channel(number("first", first)));
        Channel to = Refused.at("last", () -> new Channel(number("last", last)));
        int lowest = number("low", low);
        int highest = number("high", high);
        Search.Limits limits = Refused.at("high", () -> new Search.Limits(wanted, from, to, lowest, highest));
        if (!yes) {
            throw Refused.text("yes", "What is not known can do anything: say that levels are down and people know.");
        }
        sendings.searched(
                stored,
                before -> Optional.of(
                        how.equals("halves") ? Search.byHalves(device, limits) : Search.oneByOne(device, limits)));
        return SendController.toSend(id);
    }

    private static int number(String field, String typed) {
        if (!typed.strip().matches("\\d{1,3}")) {
            throw Refused.text(field, "Write a whole number.");
        }
        return Integer.parseInt(typed.strip());
    }

    /** What is next goes, behind what lets go of what was sent before it. */
    @PostMapping("/next")
    @ResponseBody
    Gatekeeper.Reply next(@PathVariable RigId id, Bench bench) {
        StoredRig stored = rigs.load(id);
        Search search = sendings.of(stored)
                .search()
                .filter(looking -> !looking.how().isOver())
                .orElseThrow(() -> Refused.text("search", "Nothing is looked for."));
        List<Message> messages = new ArrayList<>(Quiet.after(stored.plan(), search.box(), search.out()));
        messages.addAll(search.how().next());
        Gatekeeper.Reply reply = gatekeeper.let(stored, bench, search.box(), Sending.each(messages), false, false);
        if (reply.isSent()) {
            searched(stored, Search::sent);
        }
        return reply;
    }

    /** Somebody says whether it happened. */
    @PostMapping("/answer")
    String answer(@PathVariable RigId id, @RequestParam(defaultValue = "false") boolean happened) {
        searched(rigs.load(id), search -> search.answered(happened));
        return SendController.toSend(id);
    }

    /** It happened while one after the other was sent. */
    @PostMapping("/stop")
    String stop(@PathVariable RigId id) {
        searched(rigs.load(id), Search::stopped);
        return SendController.toSend(id);
    }

    /** What was found goes into the description of the box. {@code does} as a line of a chart begins. */
    @PostMapping("/keep")
    String keep(@PathVariable RigId id, Hand hand, @RequestParam(defaultValue = "") String does) {
        StoredRig stored = rigs.load(id);
        Search search =
                sendings.of(stored).search().orElseThrow(() -> Refused.text("does", "Nothing is looked for any more."));
        Message found =
                search.how().found().orElseThrow(() -> Refused.text("does", "It is not found yet: answer once more."));
        rigs.edit(id, hand, new GearEdit.AnswersTo(search.box(), does, found));
        sendings.searched(stored, before -> Optional.empty());
        return SendController.toSend(id);
    }

    /** Nothing is looked for any more. */
    @PostMapping("/end")
    String end(@PathVariable RigId id) {
        sendings.searched(rigs.load(id), search -> Optional.empty());
        return SendController.toSend(id);
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        return room.refused(refused, request, response, page);
    }

    private void searched(StoredRig stored, UnaryOperator<Search> what) {
        sendings.searched(stored, search -> search.map(what));
    }
}
