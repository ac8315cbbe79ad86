package embrack.app.door;

import embrack.app.store.Hand;
import embrack.app.store.crew.CrewId;
import embrack.app.store.crew.Person;

/** Who asks. */
public sealed interface Visitor {

    /** What stands beside what they do. */
    String name();

    /** Whoever is at this machine while nobody has an account: everything is theirs. */
    record Alone() implements Visitor {

        @Override
        public String name() {
            return Hand.SOMEBODY;
        }
    }

    /**
     * Somebody who is signed in.
     *
     * @param atWork the crew that new things are made for, one of theirs unless they have none
     */
    record SignedIn(Person person, CrewId atWork) implements Visitor {

        @Override
        public String name() {
            return person.name();
        }
    }

    /** Somebody who would have to sign in first. */
    record Nobody() implements Visitor {

        @Override
        public String name() {
            return "";
        }
    }
}
