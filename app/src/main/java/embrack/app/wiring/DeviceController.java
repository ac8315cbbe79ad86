package embrack.app.wiring;

import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.store.Because;
import embrack.app.store.Hand;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.edit.Refused;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.PortId;
import embrack.core.gear.Route;
import embrack.core.rig.Area;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Traffic;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Where a device stands, what computer it lives in, what it passes on, and what stands in for it. */
@Controller
@RequestMapping("/rigs/{id}/wiring/devices/{device}")
class DeviceController {

    private final RigStore rigs;
    private final WiringRoom room;

    DeviceController(RigStore rigs, WiringRoom room) {
        this.rigs = rigs;
        this.room = room;
    }

    @PostMapping("/area")
    String stand(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId device,
            @RequestParam(defaultValue = "") String area) {
        Area chosen = Stream.of(Area.values())
                .filter(a -> a.name().equals(area))
                .findFirst()
                .orElseThrow(() -> new Refused("area", Because.of("no.where")));
        rigs.edit(id, hand, new WiringEdit.Stand(device, chosen));
        return back(id, device);
    }

    @PostMapping("/host")
    String live(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId device,
            @RequestParam(defaultValue = "") String host) {
        rigs.edit(id, hand, new WiringEdit.LiveIn(device, chosen("host", host)));
        return back(id, device);
    }

    @PostMapping("/stand-in")
    String standIn(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId device,
            @RequestParam(defaultValue = "") String second) {
        rigs.edit(id, hand, new WiringEdit.StandIn(device, chosen("second", second)));
        return back(id, device);
    }

    @PostMapping("/passes/{from}.{to}")
    String filter(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId device,
            @PathVariable PortId from,
            @PathVariable PortId to,
            @RequestParam(defaultValue = "false") boolean open,
            @RequestParam(defaultValue = "") Set<String> passes,
            @RequestParam(defaultValue = "") String channels,
            @RequestParam(defaultValue = "") String onto) {
        Set<Traffic> stopped = EnumSet.allOf(Traffic.class).stream()
                .filter(sort -> !passes.contains(sort.name()))
                .collect(Collectors.toSet());
        rigs.edit(id, hand, new WiringEdit.Filter(device, new Route(from, to), open, stopped, channels, onto));
        return back(id, device);
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        String device = Refusals.pathVariable(request, "device");
        RigId id = RigId.of(Refusals.pathVariable(request, "id"));
        boolean there = rigs.load(id).plan().rig().find(new DeviceId(device)).isPresent();
        Echo echo = there
                ? Refusals.answer(refused, request, response)
                : Refusals.answerWithoutForm(refused, request, response, page);
        return room.picture(id, "device:" + device, "", LoadForm.NONE, echo, page);
    }

    private static Optional<DeviceId> chosen(String field, String key) {
        return Refused.at(
                field,
                Because.of("no.no-box-chosen"),
                () -> Optional.of(key).filter(k -> !k.isBlank()).map(DeviceId::new));
    }

    private static String back(RigId id, DeviceId device) {
        return "redirect:/rigs/%s/wiring?at=device:%s".formatted(id, device);
    }
}
