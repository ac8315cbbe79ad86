package embrack.app.store;

import embrack.core.plan.Plan;
import embrack.files.plan.PlanFile;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import org.springframework.stereotype.Component;

/** Takes over the revisions that were stored whole, each as what differs from the one before. */
@Component
final class V5__Pack_revisions extends BaseJavaMigration {

    private static final int AT_ONCE = 20;

    @Override
    public void migrate(Context context) throws SQLException {
        Connection connection = context.getConnection();
        try (Statement read = connection.createStatement();
                PreparedStatement write = connection.prepareStatement("""
                insert into rig_revision (rig, n, whole, body, author, at, summary, intent, undo_to, redo_to)
                select rig, n, ?, ?, author, at, summary, '', undo_to, redo_to
                from rig_revision_whole where rig = ? and n = ?""")) {
            read.setFetchSize(AT_ONCE);
            try (ResultSet rows =
                    read.executeQuery("select rig, n, doc::text from rig_revision_whole order by rig, n")) {
                pack(rows, write);
            }
        }
        try (Statement drop = connection.createStatement()) {
            drop.execute("drop table rig_revision_whole");
        }
    }

    private static void pack(ResultSet rows, PreparedStatement write) throws SQLException {
        long rig = 0;
        int chain = 0;
        byte[] before = {};
        while (rows.next()) {
            byte[] text = text(rows.getString(3));
            boolean whole = rows.getLong(1) != rig || chain + 1 >= Archive.LONGEST_CHAIN;
            chain = whole ? 0 : chain + 1;
            rig = rows.getLong(1);
            write.setBoolean(1, whole);
            write.setBytes(2, whole ? Difference.pack(text) : Difference.between(before, text));
            write.setLong(3, rig);
            write.setInt(4, rows.getInt(2));
            write.executeUpdate();
            before = text;
        }
    }

    /** As Embrack writes it today; as it was, when it cannot be read. */
    private static byte[] text(String json) {
        try {
            Plan plan = PlanFile.read(json);
            return PlanFile.write(plan).getBytes(StandardCharsets.UTF_8);
        } catch (RuntimeException unreadable) {
            return json.getBytes(StandardCharsets.UTF_8);
        }
    }
}
