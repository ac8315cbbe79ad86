package embrack.core.begin;

import embrack.core.gear.Ear;
import embrack.core.gear.Sound;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The ways of working that an empty rig can begin from, as people tell of them. */
public final class Beginnings {

    private static final Set<Sound> HEARD_BY_ALL = Set.of(Sound.TRACKS, Sound.PADS);
    private static final Set<Sound> FOR_PLAYERS = Set.of(Sound.CLICK, Sound.GUIDE);
    private static final Set<Ear> EVERYBODY = Set.of(Ear.HOUSE, Ear.IN_EARS);

    private static final List<Beginning> ALL = List.of(
            Beginning.of(
                            "Four switches mute a mixer",
                            "Voices, returns or the whole room are opened and muted by foot.")
                    .box("Board", "four-switch-floor-board")
                    .box("Mixer", "rack-mixer-24")
                    .join("Board", "Mixer")
                    .made(),
            Beginning.of(
                            "A foot board and pedal work a loop station",
                            "The board sends the numbers that it came with, and the loop station learns them, in each "
                                    + "of its memories.")
                    .box("Board", "ten-switch-factory-board")
                    .box("Loops", "loop-table-five-tracks")
                    .join("Board", "Loops")
                    .made(),
            Beginning.of(
                            "Feet call pads in twelve keys",
                            "A computer with a launch grid plays pads under speech; the kill switch is far from the "
                                    + "one for the next.")
                    .box("Board", "ten-switch-treadle-board")
                    .box("Computer", "computer")
                    .box("Pads", "launch-grid-player")
                    .join("Board", "Pads")
                    .made(),
            Beginning.of(
                            "A tablet with tracks and three switches",
                            "Start, next and bail out by foot; click and spoken guide go to in-ears only.")
                    .box("Board", "four-switch-desk-board")
                    .box("Dock", "tablet-dock-with-sound")
                    .box("Tablet", "tablet")
                    .box("Tablet supply", "tablet-supply")
                    .box("Tracks", "tablet-track-player")
                    .cable("Dock", "tablet", "Tablet", "socket")
                    .cable("Tablet supply", "plug", "Dock", "power")
                    .runs("Tracks", "Tablet")
                    .join("Board", "Tracks")
                    .hears("Dock", "output-1", HEARD_BY_ALL, EVERYBODY)
                    .hears("Dock", "output-2", FOR_PLAYERS, Set.of(Ear.IN_EARS))
                    .made(),
            Beginning.of(
                            "A foot board works a tablet, and its tracks work effects",
                            "Feet start the tracks; timed messages of each song change the effects.")
                    .box("Board", "four-switch-desk-board")
                    .box("Dock", "tablet-dock-with-sound")
                    .box("Tablet", "tablet")
                    .box("Tablet supply", "tablet-supply")
                    .box("Tracks", "tablet-track-player")
                    .box("Effects", "floor-modeller")
                    .cable("Dock", "tablet", "Tablet", "socket")
                    .cable("Tablet supply", "plug", "Dock", "power")
                    .runs("Tracks", "Tablet")
                    .join("Board", "Tracks")
                    .join("Tracks", "Effects")
                    .made(),
            Beginning.of(
                            "A foot board reaches instruments through a tablet and the air",
                            "The tablet passes the presses on to a computer over Wi-Fi; how late they come is said.")
                    .box("Board", "four-switch-desk-board")
                    .box("Dock", "tablet-dock-with-sound")
                    .box("Tablet", "tablet")
                    .box("Tablet supply", "tablet-supply")
                    .box("Router", "router-wi-fi")
                    .box("Computer", "computer")
                    .box("Instruments", "instrument-host-layer")
                    .box("Session on the tablet", "network-session")
                    .box("Session on the computer", "network-session")
                    .cable("Board", "usb", "Dock", "usb-1")
                    .cable("Dock", "tablet", "Tablet", "socket")
                    .cable("Tablet supply", "plug", "Dock", "power")
                    .cable("Tablet", "wi-fi", "Router", "wi-fi")
                    .cable("Computer", "wi-fi", "Router", "wi-fi")
                    .runs("Session on the tablet", "Tablet")
                    .runs("Session on the computer", "Computer")
                    .runs("Instruments", "Computer")
                    .cable("Tablet", "socket", "Session on the tablet", "in")
                    .cable("Session on the tablet", "session", "Session on the computer", "session")
                    .cable("Session on the computer", "out", "Instruments", "in")
                    .join("Board", "Instruments")
                    .made(),
            Beginning.of(
                            "Faders and buttons work a projection computer",
                            "Faders move layers, buttons go to cues, more of both in the other banks.")
                    .box("Faders", "fader-box-8-by-4")
                    .box("Charger", "usb-charger-2")
                    .box("Screens", "projection-server")
                    .cable("Faders", "usb", "Charger", "usb-1")
                    .join("Faders", "Screens")
                    .made(),
            Beginning.of(
                            "A spare board at the other side changes sounds",
                            "Two boards call patches of one sounds switcher, from both ends of the stage.")
                    .box("Board", "ten-switch-treadle-board")
                    .box("Spare board", "four-switch-program-board")
                    .box("Sounds", "sounds-switcher")
                    .join("Board", "Sounds")
                    .join("Spare board", "Sounds")
                    .made(),
            Beginning.of(
                            "A stage keyboard works an instrument host",
                            "Its knobs and pads change sounds in a computer that listens to every channel.")
                    .box("Keys", "pads-and-keys")
                    .box("Computer", "computer")
                    .box("Instruments", "instrument-host-straight")
                    .join("Keys", "Instruments")
                    .made(),
            Beginning.of(
                            "A keyboard workstation works a player",
                            "Songs and parts from its switches, once it is set to send to the outside.")
                    .box("Workstation", "keyboard-workstation")
                    .box("Computer", "computer")
                    .box("Tracks", "linear-timeline-player")
                    .join("Workstation", "Tracks")
                    .made(),
            Beginning.of(
                            "A fader box is the remote of a player",
                            "Learned control by control; how a fader takes over is chosen.")
                    .box("Faders", "fader-box-8-by-4")
                    .box("Computer", "computer")
                    .box("Tracks", "launch-grid-player")
                    .join("Faders", "Tracks")
                    .made(),
            Beginning.of(
                            "Feet and tracks work a small lighting desk",
                            "Scenes and chases by foot, and by what the tracks send at their bars.")
                    .box("Board", "ten-switch-treadle-board")
                    .box("Computer", "computer")
                    .box("Tracks", "linear-timeline-player")
                    .box("Lights", "small-scene-desk")
                    .join("Board", "Lights")
                    .join("Board", "Tracks")
                    .join("Tracks", "Lights")
                    .made(),
            Beginning.of(
                            "Two boards run the evening from a timeline",
                            "A player with the whole order; words over the network, lights by cable.")
                    .box("Board", "ten-switch-treadle-board")
                    .box("Side board", "four-switch-floor-board")
                    .box("Computer", "computer")
                    .box("Tracks", "linear-timeline-player")
                    .box("Session", "network-session")
                    .box("Router", "router-wi-fi")
                    .box("Words", "words-and-pictures")
                    .box("Lights", "small-scene-desk")
                    .join("Board", "Tracks")
                    .join("Side board", "Tracks")
                    .join("Tracks", "Lights")
                    .runs("Session", "Computer")
                    .cable("Computer", "network", "Router", "lan-1")
                    .cable("Words", "network", "Router", "lan-2")
                    .cable("Tracks", "out", "Session", "in")
                    .cable("Session", "session", "Words", "network")
                    .join("Tracks", "Words")
                    .made(),
            Beginning.of(
                            "Two computers in step, one takes over",
                            "Both play all the time; an interface changes over when the first one's tone stops.")
                    .box("Board", "four-switch-floor-board")
                    .box("Interface", "playback-interface-a-b")
                    .box("Computer A", "computer")
                    .box("Computer B", "computer")
                    .box("Player A", "linear-timeline-player")
                    .box("Player B", "linear-timeline-player")
                    .cable("Interface", "computer-a", "Computer A", "usb-1")
                    .cable("Interface", "computer-b", "Computer B", "usb-1")
                    .runs("Player A", "Computer A")
                    .runs("Player B", "Computer B")
                    .join("Board", "Player A")
                    .join("Board", "Player B")
                    .hears("Interface", "output-8", Set.of(Sound.HEARTBEAT), Set.of())
                    .standsIn("Player B", "Player A")
                    .made());

    private Beginnings() {}

    /** All of them, those that need the fewest boxes and are asked for most at the front. */
    public static List<Beginning> all() {
        return ALL;
    }

    public static Optional<Beginning> find(String key) {
        return ALL.stream().filter(way -> way.key().equals(key)).findFirst();
    }
}
