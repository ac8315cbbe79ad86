package embrack.app.door;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.Caller;
import embrack.app.CrewTest;
import embrack.app.TwoCrews;
import embrack.app.store.Hand;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.crew.CrewId;
import embrack.core.show.Book;
import embrack.files.plan.PlanFile;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;

/** Signing in and out, sessions, invitations, recovery codes, and what of one crew another gets at by its numbers. */
@CrewTest
class SignInTests {

    private static final Pattern CODE = Pattern.compile("<code>([0-9A-Z]{4}(?:-[0-9A-Z]{4}){3})</code>");

    @Autowired
    private RigStore rigs;

    @Autowired
    private TwoCrews crews;

    private Caller signedIn(String name) {
        crews.of("Mira");
        Caller one = crews.caller();
        assertThat(one.post("/sign-in", "name", name, "password", crews.password())
                        .statusCode())
                .isEqualTo(302);
        return one.anew();
    }

    private String joinedAs(String name, Caller one) {
        String link = Caller.link(crews.of("Mira").post("/crews/1/invitations", "role", "player", "note", name));
        return one.post(link, "name", name, "password", crews.password()).body();
    }

    @Test
    void whoIsWrongIsToldNothingOfWhichNamesThereAre() {
        Caller one = crews.caller();
        HttpResponse<String> known = one.post("/sign-in", "name", "Ada", "password", "not this one at all");
        HttpResponse<String> unknown = one.post("/sign-in", "name", "Adq", "password", "not this one at all");
        assertThat(known.statusCode()).isEqualTo(unknown.statusCode()).isEqualTo(422);
        assertThat(known.body().replace("Ada", "Adq").replaceAll("_csrf\" value=\"[^\"]*", ""))
                .isEqualTo(unknown.body().replaceAll("_csrf\" value=\"[^\"]*", ""));
        HttpResponse<String> code =
                one.post("/sign-in/code", "name", "Adq", "code", "0000-0000-0000-0000", "password", crews.password());
        assertThat(code.body()).contains("no recovery code of that name");
    }

    @Test
    void afterWrongTriesEvenTheRightOneWaitsWhereverItComesFrom() {
        joinedAs("Slow", crews.caller());
        for (int i = 0; i < 5; i++) {
            crews.caller().post("/sign-in", "name", "sLOW", "password", "a wrong one, number " + i);
        }
        HttpResponse<String> right = crews.caller().post("/sign-in", "name", "Slow", "password", crews.password());
        assertThat(right.statusCode()).isEqualTo(429);
        assertThat(right.headers().firstValue("Retry-After")).isPresent();
    }

    @Test
    void aSessionIsAnotherOneOnceSomebodySignedInAndNoneOnceTheyLeft() {
        Caller one = signedIn("Ada");
        String first = one.cookie("session");
        assertThat(one.get("/").body()).contains("Your rigs");
        one.post("/sign-in", "name", "Ada", "password", crews.password());
        String second = one.anew().cookie("session");
        assertThat(second).isNotEmpty().isNotEqualTo(first);
        assertThat(withSession(first).statusCode()).as("the one before").isEqualTo(302);
        assertThat(withSession(second).statusCode()).isEqualTo(200);
        HttpResponse<String> left = one.post("/sign-out");
        assertThat(left.headers().firstValue("Clear-Site-Data")).hasValue("\"cache\", \"storage\"");
        assertThat(withSession(second).statusCode())
                .as("a cookie that was kept")
                .isEqualTo(302);
    }

    private HttpResponse<String> withSession(String session) {
        return crews.caller().withCookie("session", session).get("/");
    }

    @Test
    void anotherPasswordEndsEveryOtherSession() {
        Caller here = crews.caller();
        joinedAs("Twice", here);
        Caller there = signedIn("Twice");
        here.anew().post("/account/password", "present", crews.password(), "password", "another lantern, another loft");
        assertThat(there.get("/").statusCode()).isEqualTo(302);
        assertThat(here.get("/").statusCode()).isEqualTo(200);
        HttpResponse<String> wrong =
                here.post("/account/password", "present", "not that", "password", "another lantern, another loft");
        assertThat(wrong.statusCode()).isEqualTo(422);
        assertThat(wrong.body()).contains("That is not your password.");
    }

    @Test
    void aRecoveryCodeLetsInOnceAndTakesEveryoneElseOut() {
        Caller here = crews.caller();
        Matcher codes = CODE.matcher(joinedAs("Forgetful", here));
        assertThat(codes.find()).isTrue();
        String code = codes.group(1).toLowerCase(java.util.Locale.ROOT).replace('-', ' ');
        Caller there = crews.caller();
        String next = "a whole new set of words";
        assertThat(there.post("/sign-in/code", "name", "Forgetful", "code", code, "password", next)
                        .statusCode())
                .isEqualTo(302);
        assertThat(there.get("/").statusCode()).isEqualTo(200);
        assertThat(here.get("/").statusCode()).isEqualTo(302);
        HttpResponse<String> again =
                crews.caller().post("/sign-in/code", "name", "Forgetful", "code", code, "password", next);
        assertThat(again.statusCode()).isEqualTo(422);
    }

    @Test
    void anInvitationIsForOneAndCanBeTakenBack() {
        Caller mira = crews.of("Mira");
        String link = Caller.link(mira.post("/crews/1/invitations", "role", "planner", "note", "once"));
        assertThat(crews.caller().get(link).body()).contains("Mira invites you to Quay crew", "As planner");
        for (String taken : List.of("ada", "This Machine")) {
            assertThat(crews.caller()
                            .post(link, "name", taken, "password", crews.password())
                            .body())
                    .contains("Somebody has that name already");
        }
        crews.caller().post(link, "name", "First", "password", crews.password());
        HttpResponse<String> second = crews.caller().post(link, "name", "Second", "password", crews.password());
        assertThat(second.statusCode()).isEqualTo(404);
        assertThat(second.body()).contains("This invitation holds no more");
        String other = Caller.link(mira.post("/crews/1/invitations", "role", "planner", "note", "taken back"));
        Matcher end = Pattern.compile("/crews/1/invitations/\\d+/end")
                .matcher(mira.get("/crews/1").body());
        assertThat(end.find()).isTrue();
        mira.post(end.group());
        while (end.find()) {
            mira.post(end.group());
        }
        assertThat(crews.caller().get(other).statusCode()).isEqualTo(404);
        assertThat(crews.of("Ada").post("/crews/1/invitations", "role", "lead").statusCode())
                .isEqualTo(403);
    }

    @Test
    void aCrewHasALeadWhateverTheyDo() {
        Caller mira = crews.of("Mira");
        assertThat(mira.post("/crews/1/members/1/role", "role", "player").body())
                .contains("at least one lead");
        assertThat(mira.post("/account/crews/1/leave").body()).contains("at least one lead");
        assertThat(mira.get("/crews/1").body()).contains("Invite somebody");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"//elsewhere.example", "/\\elsewhere.example", "https://elsewhere.example", "", "/x\r\nX: y"})
    void signingInLeadsNowhereElse(String to) {
        Caller one = crews.caller();
        crews.of("Ada");
        assertThat(one.post("/sign-in", "name", "Ada", "password", crews.password(), "to", to)
                        .headers()
                        .firstValue("Location"))
                .hasValueSatisfying(location -> assertThat(location).matches("(http://127\\.0\\.0\\.1:\\d+)?/"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"password1234", "short", "Mirabel", "aaaaaaaaaaaaaaaa", "mira b mira b"})
    void aWeakPasswordIsRefusedAtItsFieldAndTheNameStays(String password) {
        String link = Caller.link(crews.of("Mira").post("/crews/1/invitations", "role", "player"));
        HttpResponse<String> refused = crews.caller().post(link, "name", "Mira B", "password", password);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body())
                .contains("problem--join-", "-password", "value=\"Mira B\"")
                .doesNotContain(password + "\"");
    }

    @Test
    void whatIsOneCrewsIsNotThereForAnother() {
        Caller mira = crews.of("Mira");
        Caller ottoline = crews.of("Ottoline");
        mira.post("/models", "name", "Quay only", "kind", "mixer");
        ottoline.post("/models", "name", "Quay only", "kind", "mixer");
        mira.post("/models", "name", "Hidden", "kind", "mixer");
        assertThat(mira.get("/models/hidden").statusCode()).isEqualTo(200);
        assertThat(mira.get("/models/quay-only").statusCode()).isEqualTo(200);
        assertThat(ottoline.get("/models/quay-only").statusCode())
                .as("a model of the same name is theirs")
                .isEqualTo(200);
        assertThat(ottoline.get("/models/hidden").statusCode()).isEqualTo(404);
        assertThat(ottoline.get("/models/hidden?rig=" + crews.shared()).statusCode())
                .isEqualTo(404);
        String path = "/rigs/" + crews.shared();
        mira.post(path + "/run/begin");
        assertThat(ottoline.get("/").body()).doesNotContain("/rigs/" + crews.own() + "/");
        assertThat(crews.of("Vera").get("/").body())
                .contains("/rigs/%s/".formatted(crews.shared()))
                .doesNotContain("/rigs/%s/".formatted(crews.own()));
    }

    @Test
    void aNoteIsSettledByWhoWroteItByWhomItIsForAndByWhoPlans() {
        String notes = "/rigs/%s/notes".formatted(crews.shared());
        Caller ada = crews.of("Ada");
        Caller jory = crews.of("Jory");
        assertThat(crews.of("Vera").post(notes, "words", "me too").statusCode()).isEqualTo(403);
        assertThat(ada.post(notes, "words", "x", "whom", "Nobody here").statusCode())
                .isEqualTo(422);
        ada.post(notes, "about", "Vocal mixer", "words", "<b>too loud</b>", "whom", "Jory");
        jory.post(notes, "words", "to all");
        assertThat(jory.get("/").body()).contains(notes + "\"").containsOnlyOnce("1 note for you");
        assertThat(ada.get("/").body()).doesNotContain("for you");
        String page = ada.get(notes).body();
        assertThat(page)
                .contains("Ada to Jory", "&lt;b&gt;too loud", "/gear/vocal-mixer")
                .doesNotContain("<b>too");
        List<String> settles = Pattern.compile(notes + "/\\d+/done")
                .matcher(page)
                .results()
                .map(found -> found.group())
                .toList();
        assertThat(settles).as("Ada settles her own alone").hasSize(1);
        int own = Integer.parseInt(settles.getFirst().replaceAll(".*/(\\d+)/done", "$1"));
        assertThat(ada.post("%s/%d/done".formatted(notes, own + 1)).statusCode())
                .isEqualTo(422);
        assertThat(jory.post(settles.getFirst()).statusCode()).isEqualTo(302);
        assertThat(ada.get(notes).body()).contains("done: Jory");
        assertThat(jory.get("/").body()).doesNotContain("for you");
        String elsewhere = "/rigs/%s/notes/%d/reopen".formatted(crews.own(), own);
        assertThat(jory.post(elsewhere).body()).contains("That note is no longer there");
    }

    /** What is not there and what one may not see are one answer, to the last byte. */
    @Test
    void whatOneMayNotSeeLooksAsWhatThereIsNot() {
        Caller ottoline = crews.of("Ottoline");
        List<String> pages = List.of("/rigs/%s/gear".formatted(crews.shared()), "/rigs/987654321/gear");
        assertThat(pages.stream().map(path -> ottoline.get(path).body()).distinct())
                .hasSize(1);
        assertThat(pages.stream().map(path -> ottoline.get(path).statusCode())).containsOnly(404);
    }

    @Test
    void whatTheServerCountsIsToldWithTheKeyAlone() {
        String counts = "/actuator/prometheus";
        for (String who : List.of("Mira", "nobody")) {
            assertThat(crews.of(who).get(counts).statusCode()).isEqualTo(404);
            assertThat(crews.of(who).get(counts, "another").statusCode()).isEqualTo(404);
        }
        assertThat(crews.caller().get(counts, CrewTest.METRICS_KEY).body())
                .contains("http_server_requests_seconds_count")
                .doesNotContain("Mira");
        HttpResponse<String> ready = crews.caller().get("/actuator/health/readiness", "");
        assertThat(ready.body()).isEqualTo("{\"status\":\"UP\"}");
        assertThat(ready.headers().firstValue("X-Request-Id").orElse("")).hasSize(36);
    }

    /** Names are text wherever they stand, on pages and in files. */
    @Test
    void namesWithMarkupAreText() throws IOException {
        String name = "\"'&amp;";
        String note = "<img src=x>" + name;
        String plan = Files.readString(Path.of("../docs/examples/mute-board.json"));
        for (String label : List.of("Mute board", "Vocal mixer", "Voice board")) {
            String marked = name.replace("\"", "\\\"") + label.charAt(2);
            plan = plan.replace("\"%s\"".formatted(label), "\"%s\"".formatted(marked));
        }
        RigId rig = rigs.create(CrewId.FIRST, Hand.ANY, PlanFile.read(plan), "New rig");
        Caller mira = crews.of("Mira");
        mira.post("/rigs/%s/songs".formatted(rig), "title", name);
        mira.post("/rigs/%s/order".formatted(rig), "name", name);
        mira.post("/rigs/%s/notes".formatted(rig), "words", note, "about", note);
        mira.post("/rigs/%s/links".formatted(rig), "note", note, "what", "folder", "hours", "1");
        Book book = rigs.load(rig).plan().book();
        int named = 0;
        for (String line : Files.readAllLines(Path.of("src/test/resources/doors.txt"))) {
            String path = line.replaceFirst("^GET /rigs/\\{id}", "/rigs/" + rig)
                    .replace("{device}", "vocal-mixer")
                    .replace("{show}", book.shows().getFirst().id().toString())
                    .replace("{song}", book.songs().getFirst().id().toString())
                    .replaceFirst(" .*", "");
            if (path.matches("/rigs/[a-z0-9/-]+") && !path.endsWith("/changes")) {
                HttpResponse<String> page = mira.get(path);
                if (page.headers().firstValue("Content-Type").orElse("").contains("html")) {
                    assertThat(page.body())
                            .as(path)
                            .doesNotContain("<img src=x>")
                            .doesNotContain(name);
                    named += page.body().contains("&quot;&#39;&amp;amp;") ? 1 : 0;
                }
            }
        }
        assertThat(named).isGreaterThan(25);
    }

    @Test
    void whatSomebodyMayNotSendIsOnNoPage() {
        Pattern form = Pattern.compile("<form[^>]*(?:action|hx-post)=\"(/[^\"?]*)\"[^>]*>");
        Caller ada = crews.of("Ada");
        String rig = "/rigs/" + crews.shared();
        for (String room : List.of(
                "/gear",
                "/wiring",
                "/switches",
                "/songs",
                "/order",
                "/preflight",
                "/sheets",
                "/lights",
                "/folder",
                "/line",
                "/line/send",
                "/log",
                "/doors",
                "/run")) {
            String body = follow(ada, rig + room);
            assertThat(body).as(room).contains("class=\"room");
            Matcher each = form.matcher(body);
            while (each.find()) {
                if (each.group().contains("post")) {
                    assertThat(ada.knock("POST", each.group(1)))
                            .as(each.group())
                            .isEqualTo(Caller.LET_IN);
                }
            }
            assertThat(crews.of("Vera").get(rig + room).body())
                    .as(room)
                    .doesNotContain("method=\"post\" action=\"/rigs");
        }
    }

    private static String follow(Caller who, String path) {
        HttpResponse<String> page = who.get(path);
        return page.statusCode() == 302
                ? who.get(page.headers().firstValue("Location").orElseThrow().replaceFirst("^http://[^/]*", ""))
                        .body()
                : page.body();
    }
}
