package embrack.app.store;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.jspecify.annotations.Nullable;
import org.postgresql.util.PGobject;

/** Keeps a document in a JSONB column, in the form of its file. */
abstract class JsonbHandler<T> extends BaseTypeHandler<T> {

    /** Documents that are kept as read: a revision never changes, and most pages ask for the newest again. */
    private static final int MOST_KEPT = 64;

    private final Function<T, String> writer;
    private final Function<String, T> reader;
    private final Map<String, T> latest = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, T> eldest) {
            return size() > MOST_KEPT;
        }
    };

    JsonbHandler(Function<T, String> writer, Function<String, T> reader) {
        this.writer = writer;
        this.reader = reader;
    }

    @Override
    public void setNonNullParameter(PreparedStatement statement, int i, T document, @Nullable JdbcType type) throws SQLException {
        var json = new PGobject();
        json.setType("jsonb");
        json.setValue(writer.apply(document));
        statement.setObject(i, json);
    }

    @Override
    public @Nullable T getNullableResult(ResultSet results, String column) throws SQLException {
        return read(results.getString(column));
    }

    @Override
    public @Nullable T getNullableResult(ResultSet results, int column) throws SQLException {
        return read(results.getString(column));
    }

    @Override
    public @Nullable T getNullableResult(CallableStatement statement, int column) throws SQLException {
        return read(statement.getString(column));
    }

    private @Nullable T read(@Nullable String json) {
        if (json == null) {
            return null;
        }
        synchronized (latest) {
            return latest.computeIfAbsent(json, reader);
        }
    }
}
