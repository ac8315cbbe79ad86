package embrack.app.store;

import java.time.OffsetDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The SQL of line checks. */
@Mapper
interface LineMapper {

    /** What came for a task. */
    record Row(String task, String planned, String came, String who, int revision, OffsetDateTime at) {}

    /** What hangs at a port. */
    record PortRow(String port, String box) {}

    @Select("select task, planned, came, who, revision, at from line_came where rig = #{rig} order by at, task")
    List<Row> all(@Param("rig") long rig);

    @Insert("""
            insert into line_came (rig, task, planned, came, who, revision)
            values (#{rig}, #{task}, #{planned}, #{came}, #{who}, #{revision})
            on conflict (rig, task) do update set planned = excluded.planned, came = excluded.came,
                who = excluded.who, revision = excluded.revision, at = now()""")
    void put(
            @Param("rig") long rig,
            @Param("task") String task,
            @Param("planned") String planned,
            @Param("came") String came,
            @Param("who") String who,
            @Param("revision") int revision);

    @Delete("delete from line_came where rig = #{rig} and task = #{task}")
    void remove(@Param("rig") long rig, @Param("task") String task);

    @Select("select port, box from line_port where rig = #{rig} order by port")
    List<PortRow> ports(@Param("rig") long rig);

    @Insert("""
            insert into line_port (rig, port, box) values (#{rig}, #{port}, #{box})
            on conflict (rig, port) do update set box = excluded.box""")
    void plug(@Param("rig") long rig, @Param("port") String port, @Param("box") String box);
}
