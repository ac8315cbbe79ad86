package embrack.core.word;

import com.ibm.icu.text.MessagePattern;
import com.ibm.icu.text.MessagePattern.ArgType;
import com.ibm.icu.text.MessagePattern.Part;
import embrack.core.gear.Board;
import embrack.core.midi.Wire;
import embrack.core.music.Clock;
import embrack.core.name.TapeLabel;
import embrack.core.name.Words;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.show.Book;
import embrack.core.switches.ControlAt;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Switches;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Says things by the names that a rig and its prompt book have for them, in a language. */
public final class Wording {

    private static final String OWN = "core/word";

    private static final Rig NO_RIG = Rig.empty(new TapeLabel("-"));

    private final Rig rig;
    private final Book book;
    private final Switches switches;
    private final Language language;

    /** What is said of a rig and its songs in a language; of switches their numbers. */
    public Wording(Rig rig, Book book, Language language) {
        this(rig, book, Switches.NONE, language);
    }

    /** What is said of a rig, its songs and its switches in a language; switches by their tape first. */
    public Wording(Rig rig, Book book, Switches switches, Language language) {
        this.rig = rig;
        this.book = book;
        this.switches = switches;
        this.language = language;
    }

    /** What is said of a rig in English, of songs nothing. */
    public Wording(Rig rig) {
        this(rig, Book.EMPTY, Language.ENGLISH);
    }

    /** What is said in a language where nothing has a name. */
    public static Wording without(Language language) {
        return new Wording(NO_RIG, Book.EMPTY, language);
    }

    /**
     * A phrase in words.
     *
     * @throws IllegalStateException when no file has its pattern, or when the pattern asks for a fact that it lacks
     */
    public String say(Phrase phrase) {
        MessagePattern pattern = language.pattern(phrase.room(), phrase.key())
                .orElseThrow(() -> new IllegalStateException(
                        "no pattern %s in the words of %s".formatted(phrase.key(), phrase.room())));
        var text = new StringBuilder();
        new Saying(phrase, pattern, text).message(0, "");
        return text.toString();
    }

    /** Whether there is a pattern of that key. */
    public boolean knows(String room, String key) {
        return language.text(room, key).isPresent();
    }

    /** A fact in words. */
    public String say(Fact fact) {
        return say(fact, "");
    }

    private String say(Fact fact, String style) {
        boolean brief = style.equals("name");
        return switch (fact) {
            case Fact.Box box -> rig.name(box.device()).text();
            case Fact.PartOf part ->
                brief ? name(part) : own("part-of", Map.of("part", name(part), "box", name(part.device())));
            case Fact.Level level ->
                own(
                        "level-of",
                        Map.of(
                                "part",
                                name(new Fact.PartOf(level.device(), level.part())),
                                "box",
                                name(level.device())));
            case Fact.Switches switches -> switches(switches.all());
            case Fact.Control control -> brief ? control.at().words() : control(control.at());
            case Fact.Deed deed
            when brief -> rig.words(deed.step().device(), deed.step().action());
            case Fact.Deed deed ->
                own(
                        "deed",
                        Map.of(
                                "box",
                                name(deed.step().device()),
                                "action",
                                rig.words(deed.step().device(), deed.step().action())));
            case Fact.SongOf song -> book.song(song.song()).title().text();
            case Fact.Moment moment -> moment(moment, brief);
            case Fact.Plug plug -> rig.words(plug.socket());
            case Fact.Joined link -> own("from-to", Map.of("from", rig.words(link.from()), "to", rig.words(link.to())));
            case Fact.Number number -> number(number.value(), style);
            case Fact.Name name -> name.text();
            case Fact.Word word -> language.text(OWN, "word." + word.key()).orElse(word.key());
            case Fact.Said said -> say(said.phrase());
            case Fact.Many many ->
                list(many.all().stream().map(one -> say(one, style)).toList(), style);
        };
    }

    /** Several things as they are spoken: "1, 2 and 3". */
    public String list(List<String> words) {
        return list(words, "");
    }

    private String list(List<String> words, String style) {
        if (words.size() < 2) {
            return String.join("", words);
        }
        String comma = language.text(OWN, "list.comma").orElseThrow();
        if (style.equals("commas")) {
            return String.join(comma, words);
        }
        if (style.equals("then")) {
            return String.join(language.text(OWN, "list.then").orElseThrow(), words);
        }
        if (style.equals("semicolons")) {
            return String.join("; ", words);
        }
        return own(
                "list.last",
                Map.of("before", String.join(comma, words.subList(0, words.size() - 1)), "last", words.getLast()));
    }

    /** Switches in words: "Voice board, bank A, switches 1, 2 and 3; Desk board, bank B, switch 1". */
    public String switches(List<SwitchAt> switches) {
        Map<SwitchAt, List<SwitchAt>> byBank = new LinkedHashMap<>();
        switches.stream()
                .distinct()
                .sorted()
                .forEach(at -> byBank.computeIfAbsent(at.numbered(1), bank -> new ArrayList<>())
                        .add(at));
        return String.join(
                "; ",
                byBank.values().stream()
                        .map(of -> say(bank(of.getFirst())
                                .with("board", of.getFirst().board())
                                .with("sort", Fact.word(of.getFirst().what()))
                                .with("numbers", of.stream().map(this::number).toList())))
                        .toList());
    }

    /** Switches in a bank of a box, or on a box that has none. */
    private Phrase bank(SwitchAt at) {
        return rig.model(at.board()).board().isEmpty()
                ? Phrase.of(OWN, "switches.bankless")
                : Phrase.of(OWN, counts(at.board()) ? "switches.counting" : "switches")
                        .with("bank", bank(at.board(), at.bank()));
    }

    /** Whether the banks of a board are where it stands as it counts. */
    private boolean counts(DeviceId board) {
        return rig.model(board)
                .board()
                .flatMap(shape -> shape.factory().counter())
                .isPresent();
    }

    /** The number of a switch, behind its tape where it has one. */
    private Fact number(SwitchAt at) {
        return switches.at(at)
                .label()
                .<Fact>map(label -> new Fact.Said(
                        Phrase.of(OWN, "switch.taped").with("label", label).with("number", at.number())))
                .orElseGet(() -> Fact.of(at.number()));
    }

    /** A control in words: "Quay board, fader 1". */
    private String control(ControlAt at) {
        int banks =
                rig.model(at.box()).board().map(board -> board.banks().size()).orElse(1);
        return banks == 1
                ? own("control", Map.of("box", name(at.box()), "control", at.words()))
                : own(
                        "control.in-bank",
                        Map.of(
                                "box", name(at.box()),
                                "bank", bank(at.box(), at.bank()).text(),
                                "control", at.words()));
    }

    private TapeLabel bank(DeviceId box, int bank) {
        Board board = rig.model(box).board().orElseThrow();
        return board.banks().get(bank - 1);
    }

    private String moment(Fact.Moment moment, boolean brief) {
        var song = book.song(moment.song());
        String at = moment.at().text(song.form().tempoMap());
        return brief ? at : own("moment", Map.of("song", song.title().text(), "at", at));
    }

    private String name(Fact.PartOf part) {
        return rig.partName(part.device(), part.part()).text();
    }

    private String name(DeviceId device) {
        return rig.name(device).text();
    }

    private String own(String key, Map<String, String> names) {
        Phrase phrase = Phrase.of(OWN, key);
        for (Map.Entry<String, String> name : names.entrySet()) {
            phrase = phrase.with(name.getKey(), name.getValue());
        }
        return say(phrase);
    }

    private static String number(long value, String style) {
        return switch (style) {
            case "millis" -> Wire.millis(value);
            case "clock" -> Clock.text(value);
            case "brief" -> Clock.brief(value);
            case "shift" -> "%d ms %s".formatted(Math.round(Math.abs(value) / 1_000.0), value < 0 ? "before" : "after");
            case "tenths" -> BigDecimal.valueOf(value, 1).toPlainString();
            default -> String.valueOf(value);
        };
    }

    /**
     * Follows one pattern. Syntax: ICU, class MessageFormat; styles of arguments are Embrack's own. ICU allows no
     * hyphen in names, so that {@code meant_for} stands for the fact "meant-for".
     */
    private final class Saying {

        private final Phrase phrase;
        private final MessagePattern pattern;
        private final StringBuilder text;

        private Saying(Phrase phrase, MessagePattern pattern, StringBuilder text) {
            this.phrase = phrase;
            this.pattern = pattern;
            this.text = text;
        }

        /** Says the message that begins at a part of the pattern; {@code counted} is what stands for "#" in it. */
        private void message(int start, String counted) {
            String source = pattern.getPatternString();
            int end = pattern.getLimitPartIndex(start);
            int from = pattern.getPart(start).getLimit();
            int i = start + 1;
            while (true) {
                Part part = pattern.getPart(i);
                text.append(source, from, part.getIndex());
                if (i == end) {
                    return;
                }
                if (part.getType() == Part.Type.REPLACE_NUMBER) {
                    text.append(counted);
                } else if (part.getType() == Part.Type.ARG_START) {
                    argument(i);
                    i = pattern.getLimitPartIndex(i);
                }
                from = pattern.getPart(i).getLimit();
                i++;
            }
        }

        private void argument(int start) {
            ArgType type = pattern.getPart(start).getArgType();
            String name = pattern.getSubstring(pattern.getPart(start + 1));
            Fact fact = phrase.facts().get(name.replace('_', '-'));
            if (fact == null) {
                throw new IllegalStateException(
                        "%s of %s asks for %s, which is no fact of it".formatted(phrase.key(), phrase.room(), name));
            }
            switch (type) {
                case PLURAL -> plural(start + 2, count(name, fact));
                case SELECT -> select(start + 2, key(fact).replace('-', '_'));
                case SIMPLE -> text.append(styled(fact, pattern.getSubstring(pattern.getPart(start + 2))));
                default -> text.append(say(fact));
            }
        }

        private String styled(Fact fact, String style) {
            return switch (style) {
                case "a" -> Articles.withArticle(language, say(fact));
                case "capital" -> Words.capital(say(fact));
                default -> say(fact, style);
            };
        }

        private void plural(int start, long number) {
            String form = language.form(number);
            int other = -1;
            for (int i = start; pattern.getPartType(i) != Part.Type.ARG_LIMIT; i = pattern.getLimitPartIndex(i) + 1) {
                String selector = pattern.getSubstring(pattern.getPart(i++));
                if (pattern.getPartType(i).hasNumericValue()) {
                    if (pattern.getNumericValue(pattern.getPart(i++)) == number) {
                        message(i, String.valueOf(number));
                        return;
                    }
                } else if (selector.equals("other")) {
                    other = i;
                } else if (selector.equals(form)) {
                    message(i, String.valueOf(number));
                    return;
                }
            }
            message(other, String.valueOf(number));
        }

        private void select(int start, String key) {
            int other = -1;
            for (int i = start; pattern.getPartType(i) != Part.Type.ARG_LIMIT; i = pattern.getLimitPartIndex(i) + 1) {
                String selector = pattern.getSubstring(pattern.getPart(i++));
                if (selector.equals(key)) {
                    message(i, "");
                    return;
                }
                if (selector.equals("other")) {
                    other = i;
                }
            }
            message(other, "");
        }

        private long count(String name, Fact fact) {
            return switch (fact) {
                case Fact.Number number -> number.value();
                case Fact.Many many -> many.all().size();
                case Fact.Switches switches -> switches.all().size();
                default -> throw new IllegalStateException("%s of %s cannot be counted".formatted(name, phrase.key()));
            };
        }

        private static String key(Fact fact) {
            return switch (fact) {
                case Fact.Word word -> word.key();
                case Fact.Number number -> String.valueOf(number.value());
                case Fact.Name name -> name.text();
                default -> "other";
            };
        }
    }
}
