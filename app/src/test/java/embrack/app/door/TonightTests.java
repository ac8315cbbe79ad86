package embrack.app.door;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.Caller;
import embrack.app.CrewTest;
import embrack.app.TwoCrews;
import embrack.app.store.RigId;
import embrack.app.store.TonightLink;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** Links for tonight open what they are for and nothing beside, and nothing at all once they are taken back. */
@CrewTest
class TonightTests {

    /** All routes of a rig that a link of each sort opens; with ticks, those that are sent. */
    private static final Map<String, Set<String>> OPEN = Map.of(
            "folder",
            Set.of(
                    "GET /folder",
                    "GET /folder.pdf",
                    "GET /folder.html",
                    "GET /folder/keep.json",
                    "GET /folder/awake.json",
                    "GET /sheets",
                    "GET /doors",
                    "GET /card",
                    "GET /cues",
                    "GET /changes",
                    "POST /sheets/tick",
                    "POST /doors/tick",
                    "POST /folder/ticks",
                    "POST /folder/ticks/sent"),
            "performer-Guitar",
            Set.of("GET /run/stand", "GET /run/live", "GET /changes"),
            "show-evening",
            Set.of(
                    "GET /order/evening",
                    "GET /order/evening/joins",
                    "GET /order/evening/keys",
                    "GET /order/evening/gear",
                    "GET /order/evening/order.csv",
                    "GET /order/evening/order.ics",
                    "GET /run",
                    "GET /run/stand",
                    "GET /run/live",
                    "GET /cues",
                    "GET /sheets",
                    "GET /doors",
                    "GET /changes",
                    "POST /sheets/tick",
                    "POST /doors/tick",
                    "POST /folder/ticks",
                    "POST /folder/ticks/sent"));

    @Autowired
    private TwoCrews crews;

    private Caller holder(String what, boolean ticks) {
        String path = "/rigs/%s/links".formatted(crews.shared());
        crews.of("Jory").post("/rigs/%s/order".formatted(crews.shared()), "name", "Evening");
        var page =
                crews.of("Jory").post(path, "what", what, "ticks", String.valueOf(ticks), "note", "Hall", "hours", "3");
        Caller one = crews.caller();
        assertThat(one.get(Caller.link(page)).statusCode()).isEqualTo(302);
        return one.anew();
    }

    @Test
    void eachSortOpensWhatItIsForAndNothingElse() throws IOException {
        List<String> faults = new ArrayList<>();
        for (String what : List.of("folder", "show-evening")) {
            for (boolean ticks : new boolean[] {true, false}) {
                Caller one = holder(what, ticks);
                Set<String> opened = new TreeSet<>();
                for (String line : Files.readAllLines(Path.of("src/test/resources/doors.txt"))) {
                    String[] words = line.split(" ");
                    if (!words[1].startsWith("/rigs/")) {
                        continue;
                    }
                    String rest = words[1].replaceFirst("^/rigs/(\\{id}|\\*)", "")
                            .replace("{show}", "evening")
                            .replaceAll("\\{[^/{}]*(\\{[^}]*})?[^/{}]*}", "1");
                    for (RigId rig : List.of(crews.shared(), crews.own(), crews.foreign())) {
                        if (one.knock(words[0], "/rigs/" + rig + rest) == Caller.LET_IN) {
                            opened.add((rig.equals(crews.shared()) ? "" : "another rig: ") + words[0] + " " + rest);
                        }
                    }
                }
                Set<String> meant = new TreeSet<>(OPEN.getOrDefault(what, Set.of()));
                meant.removeIf(route -> route.startsWith("POST") && !ticks);
                if (!opened.equals(meant)) {
                    faults.add("%s, ticks %s: %s, not %s".formatted(what, ticks, opened, meant));
                }
                for (String elsewhere : List.of("/", "/people", "/account", "/models", "/crews/1")) {
                    assertThat(one.knock("GET", elsewhere)).as(elsewhere).isNotEqualTo(Caller.LET_IN);
                }
            }
        }
        assertThat(faults).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "/folder.pdf?reader=Guitar, true",
        "/folder.html?reader=Guitar, false",
        "/folder.pdf?paper=a5&reader=Guitar, true",
        "/folder.pdf, false",
        "/folder.pdf?reader=Fiddle, false",
        "/folder.pdf?reader=Guitar&reader=Fiddle, false",
        "/folder.pdf?reader=Guitar&reader, false",
        "/folder.pdf?r%65ader=Fiddle&reader=Guitar, false",
        "/folder.pdf?reader=, false",
        "/folder, false",
        "/run/stand, true",
        "/run, false",
        "/run/stand/, false",
        "/../2/run/stand, false"
    })
    void aPerformersLinkShowsTheirPagesAlone(String address, boolean open) {
        var link = new TonightLink(
                1, new RigId(7), TonightLink.Sort.PERFORMER, "Guitar", true, "", "Mira", OffsetDateTime.MAX);
        String[] parts = address.split("\\?", 2);
        assertThat(Tonight.opens(link, false, "/rigs/7" + parts[0], parts.length > 1 ? parts[1] : ""))
                .isEqualTo(open);
        assertThat(Tonight.opens(link, false, "/rigs/77" + parts[0], "reader=Guitar"))
                .isFalse();
        assertThat(Tonight.opens(link, true, "/rigs/7/sheets/tick", "")).isFalse();
    }

    @Test
    void itIsTakenBackAtOnceAndTicksSayByWhom() {
        Caller one = holder("folder", true);
        String doors = "/rigs/%s/doors".formatted(crews.shared());
        String body = one.get(doors).body();
        Matcher key = Pattern.compile("name=\"key\" value=\"([^\"]+)\"").matcher(body);
        assertThat(key.find()).isTrue();
        assertThat(body).doesNotContain("/gear\"", "/people");
        one.post(doors + "/tick", "key", key.group(1), "done", "true");
        String links = "/rigs/%s/links".formatted(crews.shared());
        assertThat(crews.of("Ada").get(doors).body()).contains("Hall, by link");
        Matcher end = Pattern.compile(links + "/\\d+/end")
                .matcher(crews.of("Jory").get(links).body());
        while (end.find()) {
            crews.of("Jory").post(end.group());
        }
        assertThat(one.get(doors).headers().firstValue("Location"))
                .hasValueSatisfying(to -> assertThat(to).endsWith("/tonight"));
        assertThat(one.get("/tonight").statusCode()).isEqualTo(404);
        assertThat(one.get("/tonight").body()).contains("This link holds no more");
    }
}
