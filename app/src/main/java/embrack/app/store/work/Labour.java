package embrack.app.store.work;

/** Somebody who can do one sort of long work. */
public interface Labour {

    /** Which work, at most 40 letters; what is kept in the database goes by it. */
    String sort();

    /**
     * Does a part, some seconds of work at most; the same part comes to the same result at every server.
     *
     * @param part from 0
     * @return what came of it
     */
    String part(Job job, int part);
}
