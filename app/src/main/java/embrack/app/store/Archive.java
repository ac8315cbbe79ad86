package embrack.app.store;

import embrack.core.plan.Plan;
import embrack.files.plan.PlanFile;
import embrack.files.plan.PlanReader;
import java.nio.charset.StandardCharsets;
import java.util.Iterator;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * The documents of revisions. Each row holds what differs from the row before it; now and then, and where a difference
 * would be no smaller, one holds its document whole. So any revision is read from the whole one before it onwards.
 * A revision never changes, so each is read once.
 */
@Component
class Archive {

    /** As many differences as are read one upon the other. */
    static final int LONGEST_CHAIN = 48;

    /** Texts of so many bytes are remembered, and the plans that they say; a plan takes a few times its text. */
    private static final long REMEMBERED = 16L << 20;

    private static final long SMALLEST_WEIGHT = 1_000;

    /** A plan is packed to a twentieth of its text or so, hardly ever to less than this part of it. */
    private static final int MOST_PACKED = 60;

    /** As many models of hardware as are not read again while plans with them are edited. */
    private static final int MODELS = 200;

    private final RigMapper mapper;
    private final PlanReader reader = new PlanReader(MODELS);
    private final Memo<Key, Text> texts = Memo.ofWeight(REMEMBERED, text -> SMALLEST_WEIGHT + text.bytes().length);
    private final Memo<Key, Read> plans = Memo.ofWeight(REMEMBERED, read -> SMALLEST_WEIGHT + read.weight());

    Archive(RigMapper mapper) {
        this.mapper = mapper;
    }

    private record Key(RigId rig, int n) {}

    /** The text of a revision, and the whole one that it was read from. */
    private record Text(byte[] bytes, int whole) {}

    private record Read(Plan plan, long weight) {}

    /**
     * A document as a row holds it.
     *
     * @param bytes packed
     * @param from the row that holds its document whole, from which this one is read: itself, or one before
     */
    record Body(int n, byte[] bytes, int from) {

        /** Whether it needs no other row. */
        public boolean isWhole() {
            return n == from;
        }
    }

    /** A row as it is read. */
    record Stored(int n, boolean whole, byte[] body) {}

    /**
     * The plan of a revision.
     *
     * @throws UnreadableRevision when what is stored is no plan
     */
    Plan plan(RigId rig, int n) {
        return plans.get(new Key(rig, n), () -> {
                    byte[] text = text(rig, n);
                    try {
                        return new Read(reader.readKept(text), text.length);
                    } catch (RuntimeException e) {
                        throw new UnreadableRevision(rig, n, e);
                    }
                })
                .plan();
    }

    /**
     * The text of a revision, byte by byte as it was stored.
     *
     * @throws UnreadableRevision when a row that it is read from is damaged
     */
    byte[] text(RigId rig, int n) {
        return kept(rig, n).bytes();
    }

    private Text kept(RigId rig, int n) {
        return texts.get(new Key(rig, n), () -> {
            List<Stored> rows = mapper.chain(rig.number(), n);
            try {
                Iterator<Stored> row = rows.iterator();
                Stored whole = row.next();
                byte[] text = Difference.unpack(whole.body());
                while (row.hasNext()) {
                    text = Difference.apply(text, row.next().body());
                }
                return new Text(text, whole.n());
            } catch (RuntimeException e) {
                throw new UnreadableRevision(rig, n, e);
            }
        });
    }

    /** Has a revision at hand that was just added, since it is asked for next, and the next one is told by it. */
    void remember(RigId rig, Body body, Plan plan, byte[] text) {
        plans.get(new Key(rig, body.n()), () -> new Read(plan, text.length));
        texts.get(new Key(rig, body.n()), () -> new Text(text, body.from()));
    }

    /** How a text is held by the row that follows another one. */
    Body following(RigId rig, int before, byte[] text) {
        Text last;
        try {
            last = kept(rig, before);
        } catch (UnreadableRevision e) {
            return whole(before + 1, text);
        }
        if (before + 1 - last.whole() >= LONGEST_CHAIN) {
            return whole(before + 1, text);
        }
        byte[] difference = Difference.between(last.bytes(), text);
        // Packing a document whole takes longer than telling its difference, so it is only tried where it may be
        // smaller.
        Body told = new Body(before + 1, difference, last.whole());
        if (difference.length < text.length / MOST_PACKED) {
            return told;
        }
        Body whole = whole(before + 1, text);
        return difference.length < whole.bytes().length / 2 ? told : whole;
    }

    static Body whole(int n, byte[] text) {
        return new Body(n, Difference.pack(text), n);
    }

    /**
     * What a plan is stored as.
     *
     * @throws DoesNotReadBack when that would not be read as the same plan
     */
    byte[] written(Plan plan) {
        byte[] text = PlanFile.write(plan).getBytes(StandardCharsets.UTF_8);
        Plan back;
        try {
            back = reader.read(text);
        } catch (RuntimeException e) {
            throw new DoesNotReadBack(String.valueOf(e.getMessage()), e);
        }
        if (!back.equals(plan)) {
            throw new DoesNotReadBack("it reads back as another plan", null);
        }
        return text;
    }
}
