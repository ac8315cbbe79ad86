package embrack.paper.part;

import embrack.core.gear.Board;
import embrack.core.gear.ControlType;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Duty;
import embrack.core.switches.Moment;
import embrack.core.switches.ShortForm;
import embrack.core.switches.SwitchAt;
import embrack.paper.page.Block;
import embrack.paper.page.Body;
import embrack.paper.page.CardCell;
import embrack.paper.page.CardRow;
import embrack.paper.page.Part;
import embrack.paper.type.Ruler;
import embrack.paper.type.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * The cards that lie beside boards, to be read from the floor at 1.7 m: capital letters of short names are at least
 * 12 mm high, 0.4° of sight, in at most two lines; full names below at 5 mm. Where that does not fit, a board is cut
 * over two pages, left and right. Sizes and angle are common practice, no source.
 */
final class CardLeaf {

    /** The least height of the capital letters of a short name, mm. */
    static final double LEAST_CAP = 12;

    private static final double MOST_CAP = 26;
    private static final double STEP = 0.5;

    /** Lines of a short name stand so close, against the size of the type. */
    private static final double TIGHT = 0.92;

    private static final double GAP = 1.5;

    /** From one row to the next: the gap, and the thickest frames with what they keep free. */
    private static final double FRAMES = GAP + 4;

    private static final double INSET = 3.6;
    private static final double NUMBER = 5.4;

    /** 20 pt, of which the capital letters are 5 mm. */
    private static final double FULL_POINTS = 21;

    private static final double FULL = 7.8;

    /** Between a short name, whose letters may hang down, and the full one, against the size of the short one. */
    private static final double HANG = 0.24;

    private static final double MORE_POINTS = 11;
    private static final double MORE = 4.5;

    private final Contents contents;
    private final Plan plan;
    private final DeviceId board;
    private final double width;
    private final double depth;

    CardLeaf(Contents contents, DeviceId board) {
        this.contents = contents;
        this.plan = contents.plan();
        this.board = board;
        Setting setting = Setting.of(Part.Form.CARD, contents.paper());
        this.width = setting.room() / Setting.MM;
        this.depth = setting.depth() / Setting.MM - 2 * GAP;
    }

    /** A switch as it is planned, before its name is cut to what fits. */
    private record Planned(String number, String name, String full, List<String> more, String tone) {

        /** On the card, with its name as it fits. */
        CardCell in(List<String> lines) {
            return new CardCell(number, lines, full, more, tone, false);
        }
    }

    /** A row as the switches lie. */
    private record Lying(String bank, List<Planned> cells) {}

    Part part() {
        List<Lying> rows = rows();
        List<Block> pages = new ArrayList<>();
        int halves = Stream.of(1, 2)
                .filter(parts -> cut(rows, parts).stream().allMatch(half -> fit(half, LEAST_CAP)))
                .findFirst()
                .orElse(2);
        for (List<Lying> half : cut(rows, halves)) {
            pages.addAll(pages(half));
        }
        return new Part(
                "card-" + board,
                contents.name(board),
                contents.rig().model(board).name().text(),
                Part.Form.CARD,
                pages);
    }

    /** Rows of banks one after another, those without anything planned left out; pedals and faders under them. */
    private List<Lying> rows() {
        List<Lying> rows = new ArrayList<>();
        for (int bank = 1; bank <= plan.banks(board); bank++) {
            List<Lying> inBank = new ArrayList<>();
            for (Optional<ControlType> of : plan.rig().model(board).surface().pressed()) {
                SwitchAt first = new SwitchAt(board, of, bank, 1);
                Board switches = plan.board(first);
                for (int row = switches.row(switches.switches()); row >= 0; row--) {
                    inBank.addAll(row(first, switches, row));
                }
            }
            List<Planned> controls = controls(bank);
            if (!controls.isEmpty()) {
                inBank.add(new Lying("", controls));
            }
            if (!inBank.isEmpty()) {
                String name = plan.banks(board) == 1
                        ? ""
                        : plan.bankName(new SwitchAt(board, bank, 1)).text();
                rows.add(new Lying(name, inBank.getFirst().cells()));
                rows.addAll(inBank.subList(1, inBank.size()));
            }
        }
        return rows;
    }

    private List<Lying> row(SwitchAt first, Board switches, int row) {
        List<Assignment> cells = IntStream.rangeClosed(1, switches.switches())
                .filter(number -> switches.row(number) == row)
                .mapToObj(number -> plan.switches().at(first.numbered(number)))
                .toList();
        return cells.stream().allMatch(cell -> cell.steps().isEmpty())
                ? List.of()
                : List.of(new Lying("", cells.stream().map(this::planned).toList()));
    }

    private Planned planned(Assignment assignment) {
        String label = assignment.label().map(Object::toString).orElse("");
        List<String> more = new ArrayList<>();
        assignment.moments().forEach((moment, steps) -> {
            if (moment != Moment.PRESS) {
                more.add(moment.words() + ": " + Deeds.of(plan, steps));
            }
        });
        String deeds = Deeds.of(plan, assignment.steps(Moment.PRESS));
        return new Planned(
                String.valueOf(assignment.at().number()),
                assignment.shortLabel().map(Object::toString).orElse(label.isEmpty() ? deeds : label),
                label.isEmpty() ? deeds : label,
                more,
                assignment.isFor(Duty.KILL) ? "kill" : assignment.isFor(Duty.SAFE) ? "safe" : "");
    }

    private List<Planned> controls(int bank) {
        List<Planned> cells = new ArrayList<>();
        for (ControlAssignment control : plan.switches().controlAssignments()) {
            ControlAt at = control.at();
            if (at.box().equals(board)
                    && at.bank() == bank
                    && !control.targets().isEmpty()) {
                String moved = control.targets().stream()
                        .map(plan::words)
                        .reduce((a, b) -> a + ", " + b)
                        .orElse("");
                String name = control.label().map(Object::toString).orElse(moved);
                cells.add(new Planned(at.type().words() + " " + at.number(), name, name, List.of(moved), ""));
            }
        }
        return cells;
    }

    /** The rows cut into so many parts side by side, the left ones first. */
    private static List<List<Lying>> cut(List<Lying> rows, int parts) {
        List<List<Lying>> cut = new ArrayList<>();
        for (int part = 0; part < parts; part++) {
            List<Lying> half = new ArrayList<>();
            for (Lying row : rows) {
                int each = Math.ceilDiv(row.cells().size(), parts);
                int from = Math.min(row.cells().size(), part * each);
                List<Planned> cells =
                        row.cells().subList(from, Math.min(row.cells().size(), from + each));
                if (cells.stream().anyMatch(cell -> !cell.name().isEmpty())) {
                    half.add(new Lying(row.bank(), cells));
                }
            }
            if (!half.isEmpty()) {
                cut.add(half);
            }
        }
        return cut;
    }

    /** How many cells lie beside each other where most do: a shorter row has cells as wide as the others. */
    private static int across(List<Lying> rows) {
        return rows.stream().mapToInt(row -> row.cells().size()).max().orElse(1);
    }

    /** The room for words in one of so many cells beside each other, mm. */
    private double cell(int across) {
        return (width - GAP) / across - GAP - INSET;
    }

    private boolean fit(List<Lying> rows, double cap) {
        double wide = cell(across(rows));
        return rows.stream()
                .flatMap(row -> row.cells().stream())
                .allMatch(cell -> lines(cell.name(), wide, cap).isPresent());
    }

    /** A name in one or two lines whose capitals are so high, mm; empty where it is wider. */
    private static Optional<List<String>> lines(String name, double wide, double cap) {
        double size = cap / Ruler.BOLD.capital();
        if (Ruler.BOLD.width(name, size) <= wide) {
            return Optional.of(name.isEmpty() ? List.of() : List.of(name));
        }
        return IntStream.range(1, name.length())
                .filter(i -> name.charAt(i) == ' ')
                .mapToObj(i -> List.of(name.substring(0, i), name.substring(i + 1)))
                .filter(two -> two.stream().allMatch(line -> Ruler.BOLD.width(line, size) <= wide))
                .findFirst();
    }

    /** A name that fits, shortened where it has to be. */
    private static List<String> shown(String name, double wide, double cap) {
        Optional<List<String>> whole = lines(name, wide, cap);
        if (whole.isPresent()) {
            return whole.get();
        }
        for (int characters = name.length() - 1; characters > 1; characters--) {
            Optional<List<String>> less = lines(ShortForm.of(new TapeLabel(name), characters), wide, cap);
            if (less.isPresent()) {
                return less.get();
            }
        }
        return List.of(name.substring(0, 1));
    }

    /** The least height of a row with cells so wide, mm. */
    private static double height(Lying row, double wide, double cap) {
        double size = cap / Ruler.BOLD.capital();
        return row.cells().stream()
                .mapToDouble(cell -> {
                    List<String> name = shown(cell.name(), wide, cap);
                    return NUMBER + (name.size() * TIGHT + HANG) * size + below(cell.in(name), wide);
                })
                .max()
                .orElse(0);
    }

    private static double below(CardCell cell, double wide) {
        double points = wide * Setting.MM;
        return (cell.isNamedInFull() ? 0 : FULL * Ruler.PLAIN.lines(cell.full(), FULL_POINTS, points))
                + MORE
                        * cell.more().stream()
                                .mapToInt(more -> Ruler.PLAIN.lines(more, MORE_POINTS, points))
                                .sum()
                + 1.5;
    }

    /** As many rows on a page as go at the least size, all of one size: the largest at which they still fit. */
    private List<Block> pages(List<Lying> rows) {
        List<Block> pages = new ArrayList<>();
        int from = 0;
        while (from < rows.size()) {
            int to = from + 1;
            while (to < rows.size() && high(rows.subList(from, to + 1), LEAST_CAP) <= depth) {
                to++;
            }
            pages.add(new Block("", "", page(rows.subList(from, to))));
            from = to;
        }
        return pages;
    }

    private double high(List<Lying> rows, double cap) {
        double wide = cell(across(rows));
        return rows.stream().mapToDouble(row -> height(row, wide, cap) + FRAMES).sum();
    }

    private Body.Switches page(List<Lying> rows) {
        double cap = LEAST_CAP;
        while (cap < MOST_CAP && high(rows, cap + STEP) <= depth && fit(rows, cap + STEP)) {
            cap += STEP;
        }
        double most = cap;
        double wide = cell(across(rows));
        double spare = Math.max(0, (depth - high(rows, most)) / rows.size());
        return new Body.Switches(
                rows.stream()
                        .map(row -> new CardRow(
                                row.bank(),
                                height(row, wide, most) + spare,
                                row.cells().stream()
                                        .map(cell -> cell.in(shown(cell.name(), wide, most)))
                                        .toList()))
                        .toList(),
                most);
    }
}
