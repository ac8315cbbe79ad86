package embrack.app.store;

import embrack.core.sim.Tread;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.random.RandomGenerator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The worlds that are tried with the feet, each by a token that the browser keeps. */
@Service
public class TrialStore {

    private static final int TOKEN_BYTES = 16;

    private final TrialMapper mapper;
    private final RandomGenerator random = new SecureRandom();

    TrialStore(TrialMapper mapper) {
        this.mapper = mapper;
    }

    /** A trial of a rig; empty when there is none of that token. */
    @Transactional(readOnly = true)
    public Optional<Trial> find(RigId rig, String token) {
        return mapper.find(token, rig.number()).map(muted -> trial(token, muted));
    }

    /** Begins one, in the place of another if that is there. */
    @Transactional
    public Trial begin(RigId rig, String before, boolean muted) {
        mapper.find(before, rig.number()).ifPresent(there -> mapper.end(before));
        mapper.forgetOld();
        byte[] bytes = new byte[TOKEN_BYTES];
        random.nextBytes(bytes);
        String token = HexFormat.of().formatHex(bytes);
        mapper.begin(token, rig.number(), muted);
        return new Trial(token, muted, List.of());
    }

    /** Adds a tread to a trial, which begins with it if there is none. */
    @Transactional
    public Trial add(RigId rig, String token, Tread tread) {
        Optional<Boolean> there = mapper.take(token, rig.number());
        String own = there.isPresent() ? token : begin(rig, token, false).token();
        int count = mapper.count(own);
        if (count < Trial.MOST) {
            mapper.add(own, count + 1, tread.key());
        }
        return trial(own, there.orElse(false));
    }

    /** Takes the last tread back, if there is one. */
    @Transactional
    public void back(RigId rig, String token) {
        mapper.take(token, rig.number()).ifPresent(muted -> mapper.remove(token, mapper.count(token)));
    }

    private Trial trial(String token, boolean muted) {
        return new Trial(
                token,
                muted,
                mapper.treads(token).stream()
                        .flatMap(key -> Tread.parse(key).stream())
                        .toList());
    }
}
