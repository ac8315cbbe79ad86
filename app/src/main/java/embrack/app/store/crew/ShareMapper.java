package embrack.app.store.crew;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** The SQL of what crews share with one another. */
@Mapper
interface ShareMapper {

    /** A share as a row. */
    record Row(
            long id,
            long crew,
            String crewName,
            @Nullable Long rig,
            @Nullable String song,
            boolean copies,
            String note,
            String madeBy,
            OffsetDateTime until,
            @Nullable Long withCrew,
            @Nullable String withName,
            @Nullable String takenBy) {}

    String ROWS = """
            select s.id, s.crew, c.name as crew_name, s.rig, s.song, s.copies, s.note, s.made_by, s.until,
                   s.with_crew, w.name as with_name, s.taken_by
              from share s join crew c on c.id = s.crew left join crew w on w.id = s.with_crew
            """;

    @Insert("""
            insert into share (crew, rig, song, copies, note, hash, made_by, until)
            values (#{crew}, #{rig,jdbcType=BIGINT}, #{song,jdbcType=VARCHAR}, #{copies}, #{note}, #{hash}, #{by},
                    now() + make_interval(days => #{days}))""")
    void offer(
            @Param("crew") long crew,
            @Param("rig") @Nullable Long rig,
            @Param("song") @Nullable String song,
            @Param("copies") boolean copies,
            @Param("note") String note,
            @Param("hash") String hash,
            @Param("by") String by,
            @Param("days") int days);

    /** Those that another crew took up, and those whose link still waits. */
    @Select(ROWS + " where s.crew = #{crew} and (s.with_crew is not null or s.until > now()) order by s.id")
    List<Row> of(@Param("crew") long crew);

    @Select(ROWS + " where s.with_crew = #{crew} order by s.id")
    List<Row> with(@Param("crew") long crew);

    @Select(ROWS + " where s.id = #{id} and s.with_crew = #{crew}")
    Optional<Row> find(@Param("id") long id, @Param("crew") long crew);

    @Select(ROWS + " where s.hash = #{hash} and s.with_crew is null and s.until > now()")
    Optional<Row> offered(@Param("hash") String hash);

    /** Takes it up, if its link still waits; whoever is first has it. */
    @Update("""
            update share set with_crew = #{crew}, taken_by = #{by}
             where hash = #{hash} and with_crew is null and until > now() and crew <> #{crew}""")
    int take(@Param("hash") String hash, @Param("crew") long crew, @Param("by") String by);

    /** Ends it, whichever of both crews wants that. */
    @Delete("delete from share where id = #{id} and (crew = #{crew} or with_crew = #{crew})")
    void end(@Param("id") long id, @Param("crew") long crew);
}
