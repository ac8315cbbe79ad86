package embrack.files.plan;

import embrack.core.chart.Part;
import embrack.core.chart.PartId;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.name.TapeLabel;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Pair;
import embrack.core.rig.Rig;
import embrack.files.json.Fields;
import embrack.files.json.Known;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The rig as far as it was read. What refers to something is read after it, so that the field can be named. */
final class RigSoFar {

    private static final TapeLabel UNNAMED = new TapeLabel("Rig");

    private final Map<ModelId, Model> models = new LinkedHashMap<>();
    private final Map<ModelId, Map<PartId, PartId>> renamed = new HashMap<>();
    private final List<Drawn> links = new ArrayList<>();
    private final List<Added> added = new ArrayList<>();
    private final List<Paired> pairs = new ArrayList<>();
    private final Known<Model> known;
    private Rig rig = Rig.empty(UNNAMED);

    /** A link, with the place where it stands. */
    private record Drawn(Link link, Fields place) {}

    /** A pair, with the place where it stands. */
    private record Paired(Pair pair, Fields place) {}

    /** A device without the computer that it lives in, that computer, and the place where it stands. */
    private record Added(Device device, Optional<DeviceId> host, Fields place) {}

    /** Nothing is read yet. */
    RigSoFar(Known<Model> known) {
        this.known = known;
    }

    /** A rig that stands, for what is read beside it. */
    static RigSoFar of(Rig rig) {
        RigSoFar whole = new RigSoFar(new Known<>(0));
        whole.rig = rig;
        rig.devices().forEach(device -> whole.models.put(device.model(), rig.model(device.id())));
        return whole;
    }

    /** Models that were read before, of files of the version that is written today. */
    Known<Model> known() {
        return known;
    }

    Rig rig() {
        return rig;
    }

    void name(TapeLabel name) {
        rig = rig.withName(name);
    }

    Model add(Model model) {
        if (models.put(model.id(), model) != null) {
            throw new IllegalArgumentException("\"%s\" is there twice".formatted(model.id()));
        }
        return model;
    }

    /** Remembers what the parts of a model were called in a file of version 1. */
    void rename(ModelId model, Map<PartId, PartId> parts) {
        renamed.put(model, parts);
    }

    Model model(ModelId id) {
        return Optional.ofNullable(models.get(id))
                .orElseThrow(() -> new IllegalArgumentException("there is no model \"%s\" in this file".formatted(id)));
    }

    /** A part by the id that it has today; files of version 1 had ids of their own. */
    PartId today(ModelId model, PartId part) {
        return renamed.getOrDefault(model, Map.of()).getOrDefault(part, part);
    }

    Part part(Model model, PartId id) {
        return model.part(today(model.id(), id))
                .orElseThrow(() -> new IllegalArgumentException("%s has no such part".formatted(model.name())));
    }

    Device add(Device device, Optional<DeviceId> host, Fields place) {
        model(device.model());
        added.add(new Added(device, host, place));
        return device;
    }

    /** Adds all devices at once, apps in their computers; where one cannot be, one by one, so that it can be told. */
    void settle() {
        List<Model> theirs =
                added.stream().map(one -> model(one.device().model())).toList();
        try {
            rig = rig.withDevices(
                    added.stream()
                            .map(one -> one.host().isPresent() ? one.device().withHost(one.host()) : one.device())
                            .toList(),
                    theirs);
        } catch (IllegalArgumentException e) {
            added.forEach(one -> rig = one.place()
                    .fit(() -> rig.withDevice(one.device(), model(one.device().model()))));
            added.stream()
                    .filter(one -> one.host().isPresent())
                    .forEach(one -> rig = one.place()
                            .fit(
                                    "livesIn",
                                    () -> rig.withDeviceChanged(one.device().id(), d -> d.withHost(one.host()))));
        }
    }

    DeviceId device(String id) {
        return rig.device(new DeviceId(id)).id();
    }

    Link add(Link link, Fields place) {
        links.add(new Drawn(link, place));
        return link;
    }

    /** Makes all links at once; where one cannot be made, one by one, so that its place can be told. */
    void join() {
        try {
            rig = rig.withLinks(links.stream().map(Drawn::link).toList());
        } catch (IllegalArgumentException e) {
            links.forEach(drawn -> rig = drawn.place().fit(() -> rig.withLink(drawn.link())));
        }
    }

    Pair add(Pair pair, Fields place) {
        pairs.add(new Paired(pair, place));
        return pair;
    }

    /** Pairs all at once; where one cannot be, one by one, so that its place can be told. */
    void pair() {
        try {
            rig = rig.withPairs(pairs.stream().map(Paired::pair).toList());
        } catch (IllegalArgumentException e) {
            List<Pair> sofar = new ArrayList<>();
            pairs.forEach(paired -> {
                sofar.add(paired.pair());
                rig = paired.place().fit(() -> rig.withPairs(sofar));
            });
        }
    }
}
