package embrack.app.wiring;

import embrack.app.frame.DrawnOnce;
import embrack.app.frame.Echo;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.check.rule.Topic;
import embrack.core.plan.Plan;
import embrack.core.power.PowerPlan;
import embrack.core.power.SwitchingOn;
import embrack.core.sheet.CableList;
import embrack.core.sheet.PackList;
import embrack.files.lists.ListCsv;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;

/** Power and the order of switching on; what one failure takes away; lists to print and to take along. */
@Controller
@RequestMapping("/rigs/{id}/wiring")
class ListsController {

    private final RigStore rigs;
    private final WiringRoom room;

    ListsController(RigStore rigs, WiringRoom room) {
        this.rigs = rigs;
        this.room = room;
    }

    @DrawnOnce
    @GetMapping("/power")
    String power(@PathVariable RigId id, Model page) {
        Plan plan = room.enter(id, "power", Echo.NONE, page, Topic.POWER).plan();
        page.addAttribute("power", PowerPage.of(plan.rig(), new PowerPlan(plan.rig())))
                .addAttribute("stages", SwitchingOn.of(plan.rig()));
        return "wiring/power";
    }

    @DrawnOnce
    @GetMapping("/failures")
    String failures(@PathVariable RigId id, Model page) {
        page.addAttribute(
                "failures",
                FailuresPage.of(room.enter(id, "failures", Echo.NONE, page).plan()));
        return "wiring/failures";
    }

    @DrawnOnce
    @GetMapping("/lists")
    String lists(@PathVariable RigId id, Model page) {
        Plan plan = room.enter(id, "lists", Echo.NONE, page).plan();
        page.addAttribute("cables", CableList.of(plan.rig()).rows())
                .addAttribute("cases", PackList.of(plan).cases());
        return "wiring/lists";
    }

    @GetMapping("/lists/{name:cables|packing|labels|single-points}.csv")
    ResponseEntity<byte[]> csv(@PathVariable RigId id, @PathVariable String name) {
        Plan plan = rigs.load(id).plan();
        String text =
                switch (name) {
                    case "cables" -> ListCsv.cables(plan.rig());
                    case "packing" -> ListCsv.packing(plan);
                    case "labels" -> ListCsv.labels(plan.rig());
                    default -> ListCsv.singlePoints(plan);
                };
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"%s.csv\"".formatted(name))
                .body(text.getBytes(StandardCharsets.UTF_8));
    }
}
