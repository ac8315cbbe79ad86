package embrack.app.store;

import embrack.core.plan.Plan;
import embrack.files.plan.PlanFile;
import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.apache.ibatis.type.MappedTypes;
import org.jspecify.annotations.Nullable;
import org.postgresql.util.PGobject;
import org.springframework.stereotype.Component;

/** Keeps a plan in a JSONB column, in the form of the plan file. */
@Component
@MappedTypes(Plan.class)
final class PlanJsonb extends BaseTypeHandler<Plan> {

    @Override
    public void setNonNullParameter(PreparedStatement statement, int i, Plan plan, @Nullable JdbcType type) throws SQLException {
        var json = new PGobject();
        json.setType("jsonb");
        json.setValue(PlanFile.write(plan));
        statement.setObject(i, json);
    }

    @Override
    public @Nullable Plan getNullableResult(ResultSet results, String column) throws SQLException {
        return plan(results.getString(column));
    }

    @Override
    public @Nullable Plan getNullableResult(ResultSet results, int column) throws SQLException {
        return plan(results.getString(column));
    }

    @Override
    public @Nullable Plan getNullableResult(CallableStatement statement, int column) throws SQLException {
        return plan(statement.getString(column));
    }

    private static @Nullable Plan plan(@Nullable String json) {
        return json == null ? null : PlanFile.read(json);
    }
}
