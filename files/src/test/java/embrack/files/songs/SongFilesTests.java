package embrack.files.songs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import embrack.core.Evening;
import embrack.core.edit.CueEdit;
import embrack.core.edit.OrderEdit;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Item;
import embrack.core.show.Running;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.files.json.UnreadableFile;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SongFilesTests {

    private static final SongId LANTERNS = new SongId("lanterns");

    @Test
    void cuesAsCsvComeBackTheSame() {
        Plan plan = Evening.sketch()
                .foot("lanterns", "23|1", "foot-board 4")
                .edit(new CueEdit.SendEarly(LANTERNS, 2, true))
                .edit(new CueEdit.NameCue(LANTERNS, 3, "=seven, \"mind\""))
                .edit(new CueEdit.AddCues(
                        LANTERNS,
                        List.of(new Cue(1, new Anchor.OnClock(9_000_000), List.of())
                                .withRaw(List.of(new Message.ControlChange(new Channel(9), 3, 4))))))
                .plan();
        Song song = plan.book().song(LANTERNS);
        String csv = CueCsv.write(plan, song);
        assertThat(csv)
                .startsWith("cue,bar,beat,at,clock,device,action,words,wait ms,early,leaves off,name\r\n")
                .contains("2,19,1,,0:46.957,Lantern desk,recall:scene-4,Lantern desk: recall Scene 4,,yes,,");
        assertThat(CueCsv.read(csv, plan, song)).isEqualTo(song.cues());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '/',
            quoteCharacter = '^',
            value = {
                "at,device,action~99|9,Lantern desk,recall:scene-1/it has no beat 9",
                "bar,device,action~1,Lamp,recall:scene-1/line 2: no box of the rig is called \"Lamp\"",
                "device,action~Lamp,recall:scene-1/line 1: the column \"at\" is missing",
                "at,device,action~99|1,Lantern desk,recall:scene-1/line 2: bar 99 lies behind the end of the song,",
                "at;device;action~1|1;Lantern desk;recall:scene-77/line 2: Lantern desk has no part \"scene-77\"",
                "at,device,action~1|1,Foot board,press:1:99/line 2: Foot board has no such switch as \"press:1:99\"",
                "at,device,action~1|1,,send:B1 28/line 2: \"B1 28\" is not one message in hexadecimal",
                "bar,beat,device,action~1,9,Lantern desk,recall:scene-1/line 2: Bar 1 is in 4/4; it has no beat 9.",
                "at,device,action~1|1,Lamp,recall:scene-1/line 2: no box of the rig is called \"Lamp\"",
                "at,device,action~1|1,Lantern desk,glow:scene-1/line 2: \"glow\" is none of the verbs",
                "when,device~x,y/line 1: the column \"action\" is missing"
            })
    void aCueListThatCannotBeReadSaysWhere(String csv, String words) {
        Plan plan = Evening.plan();
        assertThatExceptionOfType(UnreadableFile.class)
                .isThrownBy(() ->
                        CueCsv.read(csv.replace("~", "\n"), plan, plan.book().song(LANTERNS)))
                .satisfies(e -> assertThat(e.problems().getFirst().toString()).contains(words));
    }

    private static final OrderFiles.Edition EDITION =
            new OrderFiles.Edition("rig-7", 41, Instant.parse("2026-11-28T12:00:03Z"));

    /** RFC 5545: lines of at most 75 octets, broken with a blank; commas and semicolons escaped. */
    @Test
    void theOrderIsACalendar() {
        Plan plan = new OrderEdit.AddPart(
                        Evening.SHOW, Item.ANNOUNCEMENT, "Thanks, harbour; good night, all of you", "1:00")
                .apply(Evening.plan());
        Running running = Running.of(plan.book(), plan.book().shows().getFirst());
        String calendar = OrderFiles.calendar(running, EDITION);
        assertThat(calendar.split("\r\n"))
                .allMatch(line -> line.length() <= 75)
                .contains(
                        "BEGIN:VCALENDAR",
                        "DTSTART:20261205T192500",
                        "DTSTAMP:20261128T120003Z",
                        "LAST-MODIFIED:20261128T120003Z",
                        "SEQUENCE:41",
                        "DTSTART:20261205T193000",
                        "SUMMARY:Lanterns",
                        "END:VCALENDAR");
        assertThat(calendar.lines().filter(line -> line.startsWith("UID:")))
                .doesNotHaveDuplicates()
                .allMatch(line -> line.startsWith("UID:rig-7-"));
        assertThat(calendar.replace("\r\n ", "")).contains("SUMMARY:Thanks\\, harbour\\; good night\\, all of you");
        assertThat(OrderFiles.csv(running)).contains("19:30:00,song,Lanterns,2:29,D,,hard,\r\n");
        Plan dateless = new OrderEdit.DescribeShow(Evening.SHOW, "First evening", "", "19:30", "").apply(plan);
        assertThatIllegalArgumentException()
                .isThrownBy(() -> OrderFiles.calendar(
                        Running.of(dateless.book(), dateless.book().shows().getFirst()), EDITION))
                .withMessageContaining("on which day");
    }
}
