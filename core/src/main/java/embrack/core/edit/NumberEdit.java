package embrack.core.edit;

import embrack.core.chart.Learnable;
import embrack.core.chart.LearnableId;
import embrack.core.chart.Learned;
import embrack.core.chart.Response;
import embrack.core.chart.Verb;
import embrack.core.gear.Model;
import embrack.core.gear.Purpose;
import embrack.core.gear.SettingId;
import embrack.core.gear.library.Library;
import embrack.core.level.Scale;
import embrack.core.midi.Channel;
import embrack.core.midi.DataByte;
import embrack.core.midi.MessageType;
import embrack.core.numbers.Allocator;
import embrack.core.numbers.Channels;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.MemoryUse;
import embrack.core.rig.Rig;
import embrack.core.switches.Practice;
import embrack.core.text.Numbers;
import embrack.core.word.Fact;
import embrack.core.word.Phrase;
import java.util.Optional;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;

/** Changes to the numbers and channels of a plan, and to how its crew likes to work. */
public sealed interface NumberEdit extends Edit {

    /** Chooses a message for everything that is used and has not been learned. */
    record ChooseNumbers() implements NumberEdit {
        @Override
        public Plan apply(Plan plan) {
            return plan.settled();
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("choose-numbers");
        }
    }

    /** Chooses every number anew, but for those that are pinned. */
    record Renumber() implements NumberEdit {
        @Override
        public Plan apply(Plan plan) {
            return plan.withRig(Allocator.renumber(plan.rig(), plan.switches(), plan.book(), plan.practices()));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("renumber");
        }
    }

    /**
     * Pins the message of something that a device learns; all as typed.
     *
     * @param channel nothing for the channel that the box is set to, where it is set to one
     * @param number as sent, 0 to 127; nothing to let Embrack choose again
     */
    record PinNumber(DeviceId device, LearnableId learnable, MessageType type, String channel, String number)
            implements NumberEdit {
        @Override
        public Plan apply(Plan plan) {
            Device box = Typed.device("number", plan, device);
            Learnable known = lessonOf("number", plan, device, learnable);
            if (number.isBlank()) {
                SortedMap<LearnableId, Learned> left = new TreeMap<>(box.learned());
                left.remove(learnable);
                return plan.withRig(plan.rig().withDeviceChanged(device, d -> d.withLearned(left)))
                        .settled();
            }
            int chosen = Typed.number("number", number);
            Refused.at("number", () -> DataByte.checked("the number", chosen));
            Optional<Channel> on = channel.isBlank()
                    ? Optional.empty()
                    : Optional.of(Typed.number("channel", channel))
                            .map(c -> Refused.at("channel", () -> new Channel(c)));
            if (!known.types().contains(type)) {
                throw new Refused(
                        "number",
                        Say.of("no.learns-not-from").with("box", box.name()).with("types", type.plural()));
            }
            Allocator.objection(type, chosen).ifPresent(why -> {
                throw new Refused("number", Say.of("no.reserved").with("why", why));
            });
            Response response = Optional.ofNullable(box.learned().get(learnable))
                    .map(Learned::response)
                    .orElse(Response.PLAIN);
            return Refused.at(
                    "channel",
                    () -> withLearned(plan, device, learnable, new Learned(type, on, chosen, response, true)));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("pin-number")
                    .with("what", Fact.word(number.isBlank() ? "free" : "pin"))
                    .with("lesson", named(before, device, learnable));
        }
    }

    /** Says what a device makes of the value of a message that it has learned; low and high as typed. */
    record Respond(DeviceId device, LearnableId learnable, boolean alternating, String low, String high)
            implements NumberEdit {
        @Override
        public Plan apply(Plan plan) {
            Device box = Typed.device("low", plan, device);
            Learned known = Optional.ofNullable(box.learned().get(learnable))
                    .orElseThrow(() -> new Refused("low", Say.of("no.not-learned")));
            Optional<Scale> scale = Optional.of(learnable.verb())
                    .filter(Verb::takesAmount)
                    .flatMap(verb -> plan.rig().chart(device).scale(learnable.part()));
            int lowest = value("low", low, scale);
            int highest = value("high", high, scale);
            Refused.at("low", () -> DataByte.checked("a value", lowest));
            Response response = Refused.at("high", () -> new Response(alternating, lowest, highest));
            return AtReceiver.meant(
                    device, learnable, response, withLearned(plan, device, learnable, known.withResponse(response)));
        }

        /** What was typed: as the box shows it where it says so, else 0 to 127. */
        private static int value(String field, String typed, Optional<Scale> scale) {
            return scale.isPresent() ? Refused.at(field, () -> scale.get().value(typed)) : Typed.number(field, typed);
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("respond").with("lesson", named(before, device, learnable));
        }
    }

    /** Gives every receiver the channel that is proposed for it. */
    record TakeChannels() implements NumberEdit {
        @Override
        public Plan apply(Plan plan) {
            Rig rig = plan.rig();
            for (var e : Channels.proposed(rig, plan.meant(), plan.sendsOn()).entrySet()) {
                SettingId channel =
                        rig.settingFor(e.getKey(), Purpose.RECEIVE_CHANNEL).id();
                rig = rig.withDeviceChanged(
                        e.getKey(), d -> d.withSetting(channel, e.getValue().number()));
            }
            return plan.withRig(rig);
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("take-channels");
        }
    }

    /** Says which memories of a device the show uses (nothing for all), and which hold something that is to stay. */
    record UseMemories(DeviceId device, String inShow, String taken) implements NumberEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("inShow", plan, device);
            int most = plan.rig().model(device).memory().memories();
            SortedSet<Integer> used = Refused.at("inShow", () -> Numbers.parse(inShow, most));
            SortedSet<Integer> full = Refused.at("taken", () -> Numbers.parse(taken, most));
            return plan.withRig(plan.rig().withDeviceChanged(device, d -> d.withMemories(new MemoryUse(used, full))));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("use-memories")
                    .with("memories", inShow.isBlank() ? Fact.word("all") : inShow.strip())
                    .with("device", before.rig().name(device));
        }
    }

    /** Answers a question on which practitioners disagree; 0 for the default. */
    record Choose(Practice practice, int answer) implements NumberEdit {
        @Override
        public Plan apply(Plan plan) {
            Plan answered = Refused.at(
                    "answer", () -> plan.withPractices(plan.practices().with(practice, answer)));
            return practice == Practice.LINKS ? linked(answered) : answered;
        }

        /** With every host of sounds linked as was chosen: through a layer, or straight to the knobs of each patch. */
        private Plan linked(Plan plan) {
            Plan linked = plan;
            for (Device host : plan.rig().devices()) {
                Model model = plan.rig().model(host.id());
                if (model.isPlayedByKnobs() && model.isLinkedStraight() != (answer == 1)) {
                    Model other = Library.all().stream()
                            .filter(m -> m.isPlayedByKnobs() && m.isLinkedStraight() == (answer == 1))
                            .findFirst()
                            .orElseThrow();
                    linked = new GearEdit.SwapHardware(host.id(), other).apply(linked);
                }
            }
            return linked == plan
                    ? plan
                    : linked.withRig(linked.rig().withPairs(plan.rig().pairs())).settled();
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("choose")
                    .with("question", practice.question())
                    .with("answer", practice.answers().get(answer));
        }
    }

    private static Learnable lessonOf(String field, Plan plan, DeviceId device, LearnableId id) {
        return plan.rig().model(device).chart().learnables().stream()
                .filter(l -> l.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new Refused(field, Say.of("no.not-learnable")));
    }

    private static Plan withLearned(Plan plan, DeviceId device, LearnableId learnable, Learned message) {
        Rig rig = plan.rig().withDeviceChanged(device, d -> d.withLearned(learnable, message));
        return plan.withRig(rig.standIn(device)
                .map(second -> rig.withDeviceChanged(second, d -> d.withLearned(learnable, message)))
                .orElse(rig));
    }

    private static String named(Plan plan, DeviceId device, LearnableId learnable) {
        return "%s of %s"
                .formatted(
                        plan.rig().partName(device, learnable.part()),
                        plan.rig().name(device));
    }
}
