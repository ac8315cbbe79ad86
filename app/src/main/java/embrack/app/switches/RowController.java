package embrack.app.switches;

import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.frame.Spoken;
import embrack.app.store.Hand;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.edit.Refused;
import embrack.core.edit.RowEdit;
import embrack.core.gear.ControlType;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Whole rows: a sentence fills them, shown before it is kept. */
@Controller
@RequestMapping("/rigs/{id}/switches/{board}/{bank:[1-9]\\d{0,2}}/row")
class RowController {

    private final RigStore rigs;
    private final SwitchRoom room;

    RowController(RigStore rigs, SwitchRoom room) {
        this.rigs = rigs;
        this.room = room;
    }

    @GetMapping
    String row(
            @PathVariable RigId id,
            @PathVariable DeviceId board,
            @PathVariable int bank,
            @RequestParam(defaultValue = "") String of,
            @RequestParam(defaultValue = "false") boolean every,
            @RequestParam(defaultValue = "") String which,
            @RequestParam(defaultValue = "") String what,
            Model page) {
        return show(id, board, bank, new Asked(of, every, which, what), Echo.NONE, page);
    }

    @PostMapping
    String fill(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId board,
            @PathVariable int bank,
            @RequestParam(defaultValue = "") String of,
            @RequestParam(defaultValue = "false") boolean every,
            @RequestParam(defaultValue = "") String which,
            @RequestParam(defaultValue = "") String what) {
        Optional<ControlType> kind = kind(of);
        Plan plan = rigs.edit(
                        id,
                        hand,
                        kind.filter(ControlType::isSwept).isPresent()
                                ? new RowEdit.FillMoved(board, kind.orElseThrow(), bank, every, which, what)
                                : new RowEdit.FillPressed(board, kind, bank, every, which, what))
                .plan();
        return "redirect:" + BoardView.first(plan, board, bank, "/rigs/" + id);
    }

    /** What was asked for. */
    private record Asked(String of, boolean every, String which, String what) {}

    private String show(RigId id, DeviceId board, int bank, Asked asked, Echo echo, Model page) {
        Plan plan = room.enter(id, "row", echo, page).plan();
        if (plan.rig().find(board).isEmpty()
                || RowPage.fillable(plan.rig().model(board).surface()).isEmpty()
                || bank
                        > plan.rig()
                                .model(board)
                                .board()
                                .map(shape -> shape.banks().size())
                                .orElse(1)) {
            return "redirect:/rigs/%s/switches".formatted(id);
        }
        var fillable = RowPage.fillable(plan.rig().model(board).surface());
        Optional<ControlType> kind = asked.of().isEmpty() && !fillable.contains(Optional.<ControlType>empty())
                ? fillable.getFirst()
                : kind(asked.of());
        RowPage row = RowPage.of(plan, board, bank, kind, asked.every(), asked.which(), asked.what());
        String problem = "";
        try {
            row = asked.what().isBlank()
                    ? row
                    : row.with(
                            kind.filter(ControlType::isSwept).isPresent()
                                    ? RowPage.lines(
                                            plan,
                                            new RowEdit.FillMoved(
                                                    board,
                                                    kind.orElseThrow(),
                                                    bank,
                                                    asked.every(),
                                                    asked.which(),
                                                    asked.what()))
                                    : RowPage.lines(
                                            plan,
                                            new RowEdit.FillPressed(
                                                    board, kind, bank, asked.every(), asked.which(), asked.what())));
        } catch (Refused refused) {
            problem = Spoken.words().say(refused.phrase());
        }
        page.addAttribute("row", row).addAttribute("problem", problem);
        return "switches/row";
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        return show(
                RigId.of(Refusals.pathVariable(request, "id")),
                new DeviceId(Refusals.pathVariable(request, "board")),
                Integer.parseInt(Refusals.pathVariable(request, "bank")),
                new Asked(
                        typed(request, "of"),
                        Boolean.parseBoolean(typed(request, "every")),
                        typed(request, "which"),
                        typed(request, "what")),
                Refusals.answer(refused, request, response),
                page);
    }

    private static String typed(HttpServletRequest request, String field) {
        String typed = request.getParameter(field);
        return typed == null ? "" : typed;
    }

    private static Optional<ControlType> kind(String key) {
        return Stream.of(ControlType.values())
                .filter(type -> type.key().equals(key))
                .findFirst();
    }
}
