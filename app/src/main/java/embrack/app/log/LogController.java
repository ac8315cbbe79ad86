package embrack.app.log;

import embrack.app.frame.Echo;
import embrack.app.frame.Frame;
import embrack.app.frame.Refusals;
import embrack.app.frame.Room;
import embrack.app.store.LogStore;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.edit.Refused;
import embrack.files.lists.LogFile;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.security.Principal;
import java.util.List;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The log: looked through, noted in, taken along. It changes no plan. */
@Controller
@RequestMapping("/rigs/{id}/log")
class LogController {

    private static final int MOST_WORDS = 2_000;
    private static final int LONGEST_NAME = 200;

    private final RigStore rigs;
    private final Reports reports;
    private final LogStore log;

    LogController(RigStore rigs, Reports reports, LogStore log) {
        this.rigs = rigs;
        this.reports = reports;
        this.log = log;
    }

    @GetMapping
    String log(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String sort,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(defaultValue = "") String about,
            HttpServletRequest request,
            Model page) {
        return enter(id, new LogPage.Asked(sort, words, about), query(request), Echo.NONE, page);
    }

    private static String query(HttpServletRequest request) {
        return request.getQueryString() == null ? "" : "?" + request.getQueryString();
    }

    private String enter(RigId id, LogPage.Asked asked, String query, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("frame", Frame.of(stored, reports.of(stored), Room.LOG, "/log"))
                .addAttribute("echo", echo)
                .addAttribute("base", base(id))
                .addAttribute("log", LogPage.of(log, stored, asked, query));
        return "log/log";
    }

    private static String base(RigId id) {
        return "/rigs/%s/log".formatted(id);
    }

    @GetMapping("/{entry:\\d{1,18}}")
    String entry(
            @PathVariable RigId id, @PathVariable long entry, @RequestParam(defaultValue = "1") int line, Model page) {
        return enter(id, entry, line, Echo.NONE, page);
    }

    private String enter(RigId id, long entry, int line, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        LogStore.Entry found = log.entry(id, entry).orElseThrow(LogController::gone);
        page.addAttribute("frame", Frame.of(stored, reports.of(stored), Room.LOG, "/log/" + entry))
                .addAttribute("echo", echo)
                .addAttribute("base", base(id))
                .addAttribute("page", EntryPage.of(log, id, found, line, base(id)));
        return "log/entry";
    }

    private static ResponseStatusException gone() {
        return new ResponseStatusException(HttpStatus.NOT_FOUND);
    }

    @ExceptionHandler(Refused.class)
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        Echo echo = Refusals.answer(refused, request, response);
        RigId id = RigId.of(Refusals.pathVariable(request, "id"));
        String entry = Refusals.pathVariable(request, "entry");
        boolean isThere =
                !entry.isEmpty() && log.entry(id, Long.parseLong(entry)).isPresent();
        return isThere
                ? enter(id, Long.parseLong(entry), 1, echo, page)
                : enter(id, new LogPage.Asked("", "", ""), "", echo, page);
    }

    /**
     * Writes something to an entry.
     *
     * @param at of which moment of the show, microseconds; empty for none
     * @param about the song, item or box that it is about; empty for none
     * @param todo whether something is to be done about it
     */
    @PostMapping("/{entry:\\d{1,18}}/notes")
    String note(
            @PathVariable RigId id,
            @PathVariable long entry,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(defaultValue = "") String at,
            @RequestParam(defaultValue = "") String about,
            @RequestParam(defaultValue = "false") boolean todo,
            @Nullable Principal who) {
        String said = words.strip();
        if (said.isEmpty()) {
            throw Refused.text("words", "Write what there is to say.");
        }
        if (said.length() > MOST_WORDS) {
            throw Refused.text("words", "A note has at most %d characters.".formatted(MOST_WORDS));
        }
        StoredRig stored = rigs.load(id);
        boolean isBox = stored.plan().rig().devices().stream()
                .anyMatch(device -> device.name().toString().equals(about));
        String name = about.length() > LONGEST_NAME ? "" : about;
        boolean isThere = log.note(
                id,
                entry,
                at.matches("-?\\d{1,15}") ? OptionalLong.of(Long.parseLong(at)) : OptionalLong.empty(),
                isBox ? "" : name,
                isBox ? name : "",
                said,
                name(who),
                todo);
        if (!isThere) {
            throw gone();
        }
        return "redirect:%s/%d".formatted(base(id), entry);
    }

    private static String name(@Nullable Principal who) {
        return who == null ? "" : who.getName();
    }

    /**
     * Something is done, or let go.
     *
     * @param how "done", or "let-go", which has a reason
     * @param back where to go on: "log", "preflight", or the number of an entry
     */
    @PostMapping("/notes/{note:\\d{1,18}}/settle")
    String settle(
            @PathVariable RigId id,
            @PathVariable long note,
            @RequestParam(defaultValue = "done") String how,
            @RequestParam(defaultValue = "") String reason,
            @RequestParam(defaultValue = "log") String back,
            @Nullable Principal who) {
        boolean isDone = how.equals("done");
        if (!isDone && reason.isBlank()) {
            throw Refused.text("reason", "Say why it is let go.");
        }
        if (reason.length() > MOST_WORDS) {
            throw Refused.text("reason", "A reason has at most %d characters.".formatted(MOST_WORDS));
        }
        log.settle(id, note, name(who), isDone ? "" : reason.strip());
        return back(id, back);
    }

    /** It is to be done again. */
    @PostMapping("/notes/{note:\\d{1,18}}/reopen")
    String reopen(@PathVariable RigId id, @PathVariable long note, @RequestParam(defaultValue = "log") String back) {
        log.reopen(id, note);
        return back(id, back);
    }

    private static String back(RigId id, String back) {
        return back.equals("preflight")
                ? "redirect:/rigs/%s/preflight".formatted(id)
                : back.matches("\\d{1,18}") ? "redirect:%s/%s".formatted(base(id), back) : "redirect:" + base(id);
    }

    /** What is to be done still, for other rooms to show. */
    @GetMapping("/open")
    String open(@PathVariable RigId id, Model page) {
        page.addAttribute("base", base(id))
                .addAttribute("echo", Echo.NONE)
                .addAttribute("back", "preflight")
                .addAttribute(
                        "todos", log.open(id).stream().map(LogPage.NoteView::of).toList());
        return "log/bits :: todos";
    }

    @GetMapping("/log.csv")
    ResponseEntity<byte[]> csv(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String sort,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(defaultValue = "") String about) {
        return file(
                "log.csv",
                MediaType.parseMediaType("text/csv;charset=utf-8"),
                taken(id, sort, words, about).csv());
    }

    @GetMapping("/log.json")
    ResponseEntity<byte[]> json(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String sort,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(defaultValue = "") String about) {
        return file(
                "log.json",
                MediaType.APPLICATION_JSON,
                taken(id, sort, words, about).json());
    }

    /** All that was asked for on one page, to print or to keep. */
    @GetMapping("/page")
    String whole(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String sort,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(defaultValue = "") String about,
            Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("frame", Frame.of(stored, reports.of(stored), Room.LOG, "/log"))
                .addAttribute("base", base(id))
                .addAttribute("entries", taken(id, sort, words, about).entries());
        return "log/page";
    }

    private static ResponseEntity<byte[]> file(String name, MediaType type, String text) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"%s\"".formatted(name))
                .body(text.getBytes(StandardCharsets.UTF_8));
    }

    private LogFile taken(RigId id, String sort, String words, String about) {
        String name = rigs.load(id).plan().rig().name().text();
        List<LogFile.Entry> entries = log.find(id, sort, words, about).stream()
                .map(entry -> new LogFile.Entry(
                        entry.id(),
                        LogPage.sort(entry.sort()),
                        entry.begun(),
                        entry.ended(),
                        entry.revision(),
                        entry.who(),
                        entry.title(),
                        log.lines(entry.id()).stream()
                                .map(line -> new LogFile.Line(
                                        line.at(), line.sort(), line.part(), line.box(), line.words(), line.micros()))
                                .toList(),
                        log.presses(entry.id()).stream()
                                .map(press -> new LogFile.Press(
                                        press.at(),
                                        press.part(),
                                        press.label(),
                                        press.sort(),
                                        press.grade(),
                                        press.millis(),
                                        press.instead()))
                                .toList(),
                        log.notes(id, entry.id()).stream()
                                .map(note -> new LogFile.Note(
                                        note.at(),
                                        note.part(),
                                        note.box(),
                                        note.words(),
                                        note.who(),
                                        note.isTodo(),
                                        note.settled().isPresent(),
                                        note.reason()))
                                .toList()))
                .toList();
        return new LogFile(name, entries);
    }
}
