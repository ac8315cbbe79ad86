package embrack.app.frame;

import embrack.app.store.Because;
import embrack.core.edit.Refused;
import embrack.files.gdtf.GdtfReading;
import embrack.files.json.JsonFile;
import embrack.files.lists.TickFile;
import embrack.files.midi.MidiImport;
import embrack.files.songs.CueCsv;
import java.io.IOException;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;

/**
 * Files that people send. Each kind has one limit; what is larger is refused before a byte of it is in memory, and one
 * file is read at a time, so that many at once take no more memory than one.
 */
@Component
public class Uploads {

    private static final long PATIENCE_SECONDS = 30;

    private final Semaphore turn = new Semaphore(1, true);

    /** A kind of file and the most that it may have. */
    public enum Sort {
        MIDI("a MIDI file", MidiImport.MAX_BYTES),
        PLAN("a plan", JsonFile.MAX_BYTES),
        MODEL("a model", JsonFile.MAX_BYTES),
        CSV("a CSV file", CueCsv.MAX_LENGTH),
        TICKS("a file of ticks", TickFile.MAX_LENGTH),
        FIXTURE("a GDTF file", GdtfReading.MAX_BYTES);

        private final String words;
        private final int maxBytes;

        Sort(String words, int maxBytes) {
            this.words = words;
            this.maxBytes = maxBytes;
        }

        public String words() {
            return words;
        }

        /** The most bytes that a file of this kind may have. */
        public int maxBytes() {
            return maxBytes;
        }
    }

    /**
     * What a reader makes of a file.
     *
     * @param field the field of the form that the file was chosen in
     * @throws Refused when no file was chosen, it is too large, or others are being read for too long
     */
    public <T> T read(MultipartFile file, Sort sort, String field, Function<byte[], T> reader) {
        if (file.isEmpty()) {
            throw new Refused(field, Because.of("no.no-file").with("sort", sort.words()));
        }
        if (file.getSize() > sort.maxBytes()) {
            throw new Refused(
                    field,
                    Because.of("no.too-large")
                            .with("tenths", Math.ceilDiv(file.getSize() * 10, 1L << 20))
                            .with("sort", sort.words())
                            .with("most", sort.maxBytes() >> 20));
        }
        boolean mine = false;
        try {
            mine = turn.tryAcquire(PATIENCE_SECONDS, TimeUnit.SECONDS);
            if (!mine) {
                throw new Refused(field, Because.of("no.busy"));
            }
            return reader.apply(file.getBytes());
        } catch (IOException e) {
            throw new Refused(field, Because.of("no.broken-off"));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new Refused(field, Because.of("no.stopping"));
        } finally {
            if (mine) {
                turn.release();
            }
        }
    }
}
