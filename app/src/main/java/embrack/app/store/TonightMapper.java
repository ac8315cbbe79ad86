package embrack.app.store;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The SQL of links for tonight. */
@Mapper
interface TonightMapper {

    /** A link as a row. */
    record Row(
            long id,
            long rig,
            String sort,
            String about,
            boolean ticks,
            String note,
            String madeBy,
            OffsetDateTime until) {}

    @Insert("""
            insert into tonight_link (rig, sort, about, ticks, note, hash, made_by, until)
            values (#{rig}, #{sort}, #{about}, #{ticks}, #{note}, #{hash}, #{by},
                    now() + make_interval(hours => #{hours}))""")
    void add(
            @Param("rig") long rig,
            @Param("sort") String sort,
            @Param("about") String about,
            @Param("ticks") boolean ticks,
            @Param("note") String note,
            @Param("hash") String hash,
            @Param("by") String by,
            @Param("hours") int hours);

    @Select("""
            select l.id, l.rig, l.sort, l.about, l.ticks, l.note, l.made_by, l.until
              from tonight_link l join rig r on r.id = l.rig
             where l.hash = #{hash} and l.ended_at is null and l.until > now() and r.deleted_at is null""")
    Optional<Row> find(@Param("hash") String hash);

    @Select("""
            select id, rig, sort, about, ticks, note, made_by, until from tonight_link
             where rig = #{rig} and ended_at is null and until > now()
             order by until, id""")
    List<Row> of(@Param("rig") long rig);

    @Update("update tonight_link set ended_at = now() where rig = #{rig} and id = #{id} and ended_at is null")
    int end(@Param("rig") long rig, @Param("id") long id);
}
