package embrack.app.browser;

import java.util.List;

/** Every page that there is, with what can be chosen on it, in the demo. */
final class Pages {

    static final List<String> ALL = List.of(
            "/",
            "/rigs/1/gear",
            "/rigs/1/gear/vocal-mixer",
            "/rigs/1/wiring",
            "/rigs/1/wiring?at=port:choir-board.out",
            "/rigs/1/wiring?at=device:computer-a",
            "/rigs/1/wiring?at=link:quay-board.out~merger.in-1&bpm=120&frames=FPS_25&treadle=true",
            "/rigs/1/wiring?at=switch:quay-board.1.1",
            "/rigs/1/wiring?at=device:tracks",
            "/rigs/1/wiring/table",
            "/rigs/1/wiring/power",
            "/rigs/1/wiring/sound",
            "/rigs/1/wiring/failures",
            "/rigs/1/wiring/lists",
            "/rigs/1/switches/choir-board/1/3?press=1.1.2&find=mute",
            "/rigs/1/switches/voice-board/1/1",
            "/rigs/1/preflight",
            "/rigs/1/tour?at=2",
            "/rigs/1/sheets",
            "/rigs/1/doors",
            "/rigs/1/switches/side-board/1/8",
            "/rigs/1/switches/quay-board/1/3?on=hold",
            "/rigs/1/switches/quay-board/1/treadle/1?find=control",
            "/rigs/1/switches/keys/1/knob/1",
            "/handbook/gear",
            "/handbook/lights",
            "/rigs/1/switches/numbers",
            "/rigs/1/switches/quay-board/2/row?what=mute+inputs+1-6",
            "/rigs/1/switches/schools",
            "/rigs/1/switches/swap?box=quay-board&with=two-switch-foot-box",
            "/rigs/1/card",
            "/rigs/1/lights?look=harbour",
            "/rigs/1/lights/fixtures",
            "/rigs/1/lights/desks",
            "/rigs/1/lights/output",
            "/rigs/1/songs",
            "/rigs/1/songs/tide-against-the-pier",
            "/rigs/1/songs/lanterns-on-the-sill?cue=2&find=scene",
            "/rigs/1/songs/the-slow-boats/how",
            "/rigs/1/songs/rope-and-kettle/capture?keys=quay-board&hits=6527-1,6600-1,6700-1u",
            "/rigs/1/cues?device=lantern-desk",
            "/rigs/1/order/night-of-the-slow-boats?part=7",
            "/rigs/1/order/night-of-the-slow-boats/joins",
            "/rigs/1/order/night-of-the-slow-boats/keys",
            "/rigs/1/order/night-of-the-slow-boats/gear",
            "/models?rig=1",
            "/models?can=mute+by+control+change",
            "/models/loop-table-five-tracks?press=select+Memory+3",
            "/models/keyboard-workstation?rig=1",
            "/models/scene-desk/print",
            "/models/lantern-desk-six-fixtures/edit",
            "/numbers?q=0",
            "/nothing-here");

    private Pages() {}
}
