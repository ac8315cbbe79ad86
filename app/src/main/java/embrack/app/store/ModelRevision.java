package embrack.app.store;

import embrack.core.gear.Model;
import java.time.OffsetDateTime;

/**
 * One revision of a model that the crew describes.
 *
 * @param n counted from 1 within the model
 * @param summary what was done, in words
 */
public record ModelRevision(int n, Model doc, OffsetDateTime at, String summary) {}
