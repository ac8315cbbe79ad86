package embrack.app.door;

import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;

/**
 * Sessions of which the database keeps to the minute when they were last seen: were it told with every request, each
 * would wait for the disc.
 *
 * @param <S> as the database has them
 */
final class SeldomTouched<S extends Session> implements FindByIndexNameSessionRepository<SeldomTouched.Touched<S>> {

    private static final Duration MINUTE = Duration.ofMinutes(1);

    private final FindByIndexNameSessionRepository<S> kept;

    SeldomTouched(FindByIndexNameSessionRepository<S> kept) {
        this.kept = kept;
    }

    /** One of them. */
    record Touched<S extends Session>(S session) implements Session {

        @Override
        public void setLastAccessedTime(Instant time) {
            if (time.isAfter(session.getLastAccessedTime().plus(MINUTE))) {
                session.setLastAccessedTime(time);
            }
        }

        @Override
        public Instant getLastAccessedTime() {
            return session.getLastAccessedTime();
        }

        @Override
        public String getId() {
            return session.getId();
        }

        @Override
        public String changeSessionId() {
            return session.changeSessionId();
        }

        @Override
        public <T> @Nullable T getAttribute(String name) {
            return session.getAttribute(name);
        }

        @Override
        public Set<String> getAttributeNames() {
            return session.getAttributeNames();
        }

        @Override
        public void setAttribute(String name, Object value) {
            session.setAttribute(name, value);
        }

        @Override
        public void removeAttribute(String name) {
            session.removeAttribute(name);
        }

        @Override
        public Instant getCreationTime() {
            return session.getCreationTime();
        }

        @Override
        public void setMaxInactiveInterval(Duration interval) {
            session.setMaxInactiveInterval(interval);
        }

        @Override
        public Duration getMaxInactiveInterval() {
            return session.getMaxInactiveInterval();
        }

        @Override
        public boolean isExpired() {
            return session.isExpired();
        }
    }

    @Override
    public Touched<S> createSession() {
        return new Touched<>(kept.createSession());
    }

    @Override
    public void save(Touched<S> touched) {
        kept.save(touched.session());
    }

    @Override
    public @Nullable Touched<S> findById(String id) {
        S found = kept.findById(id);
        return found == null ? null : new Touched<>(found);
    }

    @Override
    public void deleteById(String id) {
        kept.deleteById(id);
    }

    @Override
    public Map<String, Touched<S>> findByIndexNameAndIndexValue(String name, String value) {
        return kept.findByIndexNameAndIndexValue(name, value).entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, entry -> new Touched<>(entry.getValue())));
    }
}
