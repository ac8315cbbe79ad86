package embrack.app.store;

import java.time.OffsetDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

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

    /** Those that count everywhere first, and then those of the place. */
    @Select("""
            select port, box from line_port
            where rig = #{rig} and outward = #{outward} and place in ('', #{place}) order by place, port""")
    List<PortRow> ports(@Param("rig") long rig, @Param("place") String place, @Param("outward") boolean outward);

    @Insert("""
            insert into line_port (rig, place, port, outward, box)
            values (#{rig}, #{place}, #{port}, #{outward}, #{box})
            on conflict (rig, place, port, outward) do update set box = excluded.box""")
    void plug(
            @Param("rig") long rig,
            @Param("place") String place,
            @Param("port") String port,
            @Param("outward") boolean outward,
            @Param("box") String box);

    /** What was seen when a box was sent something. */
    record ToldRow(String probe, String sent, String answer, String who, int revision, OffsetDateTime at) {}

    @Select("select probe, sent, answer, who, revision, at from line_told where rig = #{rig} order by at, probe")
    List<ToldRow> told(@Param("rig") long rig);

    @Insert("""
            insert into line_told (rig, probe, sent, answer, who, revision)
            values (#{rig}, #{probe}, #{sent}, #{answer}, #{who}, #{revision})
            on conflict (rig, probe) do update set sent = excluded.sent, answer = excluded.answer,
                who = excluded.who, revision = excluded.revision, at = now()""")
    void tell(
            @Param("rig") long rig,
            @Param("probe") String probe,
            @Param("sent") String sent,
            @Param("answer") String answer,
            @Param("who") String who,
            @Param("revision") int revision);

    @Delete("delete from line_told where rig = #{rig} and probe = #{probe}")
    void untell(@Param("rig") long rig, @Param("probe") String probe);

    /** How long messages took. */
    record LoopRow(String sender, String heard, String micros, String who, OffsetDateTime at) {}

    @Select("select sender, heard, micros, who, at from line_loop where rig = #{rig} order by sender, heard")
    List<LoopRow> loops(@Param("rig") long rig);

    @Insert("""
            insert into line_loop (rig, sender, heard, micros, who)
            values (#{rig}, #{sender}, #{heard}, #{micros}, #{who})
            on conflict (rig, sender, heard) do update set micros = excluded.micros, who = excluded.who, at = now()""")
    void loop(
            @Param("rig") long rig,
            @Param("sender") String sender,
            @Param("heard") String heard,
            @Param("micros") String micros,
            @Param("who") String who);

    /** What was tried of a pair. */
    record PairRow(
            String pair,
            String planned,
            @Nullable Long gapMicros,
            String lost,
            boolean back,
            String who,
            int revision,
            OffsetDateTime at) {}

    @Select("""
            select pair, planned, gap_micros, lost, back, who, revision, at from line_pair
            where rig = #{rig} order by pair""")
    List<PairRow> pairs(@Param("rig") long rig);

    @Insert("""
            insert into line_pair (rig, pair, planned, gap_micros, lost, back, who, revision)
            values (#{rig}, #{pair}, #{planned}, #{gap,jdbcType=BIGINT}, #{lost}, #{back}, #{who}, #{revision})
            on conflict (rig, pair) do update set planned = excluded.planned, gap_micros = excluded.gap_micros,
                lost = excluded.lost, back = excluded.back, who = excluded.who, revision = excluded.revision,
                at = now()""")
    void pair(
            @Param("rig") long rig,
            @Param("pair") String pair,
            @Param("planned") String planned,
            @Param("gap") @Nullable Long gapMicros,
            @Param("lost") String lost,
            @Param("back") boolean back,
            @Param("who") String who,
            @Param("revision") int revision);

    /** Who a box said that it is, and what it had said before. */
    record IdentityRow(String box, String answer, String before, String who, OffsetDateTime at) {}

    @Select("select box, answer, before, who, at from line_identity where rig = #{rig} order by box")
    List<IdentityRow> identities(@Param("rig") long rig);

    @Insert("""
            insert into line_identity (rig, box, answer, who) values (#{rig}, #{box}, #{answer}, #{who})
            on conflict (rig, box) do update set before = line_identity.answer, answer = excluded.answer,
                who = excluded.who, at = now()""")
    void identity(
            @Param("rig") long rig, @Param("box") String box, @Param("answer") String answer, @Param("who") String who);
}
