package embrack.app.store.crew;

import java.time.Duration;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * How long somebody waits after wrong tries to sign in, counted by name and by address: twice as long each time, up to
 * five minutes. Nothing tells whether the name is one that there is. A try counts as wrong before it is looked at, so
 * that many at once are no more than one after the other.
 */
@Service
public class Tries {

    /** Free tries at a name, and from an address, where several people may be. */
    private static final int FREE_AT_A_NAME = 5;

    private static final int FREE_FROM_AN_ADDRESS = 20;
    private static final Duration LONGEST = Duration.ofMinutes(5);
    private static final int MOST_DOUBLINGS = 20;
    private static final int LONGEST_ADDRESS = 100;

    private final TryMapper mapper;

    Tries(TryMapper mapper) {
        this.mapper = mapper;
    }

    /** Begins a try, which counts as wrong from now on; or how long it has to wait still, and then it is none. */
    @Transactional
    public Duration begin(String name, String address) {
        mapper.forgetOld();
        long left = Math.max(mapper.left(name(name)), mapper.left(address(address)));
        if (left > 0) {
            return Duration.ofSeconds(left);
        }
        count(name(name), FREE_AT_A_NAME);
        count(address(address), FREE_FROM_AN_ADDRESS);
        return Duration.ZERO;
    }

    private void count(String what, int free) {
        int wrong = mapper.count(what).orElse(0);
        if (wrong >= free) {
            mapper.waits(what, Math.min(LONGEST.toSeconds(), 1L << Math.min(MOST_DOUBLINGS, wrong - free)));
        }
    }

    /** The try was right: the name begins anew, and what else came from the address stays counted. */
    @Transactional
    public void right(String name, String address) {
        mapper.forget(name(name));
        mapper.takeBack(address(address));
    }

    private static String name(String name) {
        return "name " + Secret.hash(Accounts.folded(name));
    }

    private static String address(String address) {
        return "address " + address.substring(0, Math.min(LONGEST_ADDRESS, address.length()));
    }
}
