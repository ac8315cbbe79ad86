package embrack.app.store.work;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The SQL of long work. */
@Mapper
interface JobMapper {

    /** A job. */
    record Row(
            long id, long rig, String sort, int revision, String wish, int parts, boolean isEnded, boolean hasFailed) {}

    /** What came of a part. */
    record PartRow(int n, String result) {}

    /** Whoever begins work on a rig waits for others who do. */
    @Select("select id from rig where id = #{rig} for update")
    Optional<Long> lock(@Param("rig") long rig);

    @Select("""
            select id, rig, sort, revision, wish, parts, ended is not null as is_ended, failed as has_failed
            from job where rig = #{rig} and sort = #{sort}""")
    Optional<Row> newest(@Param("rig") long rig, @Param("sort") String sort);

    @Select("""
            select id, rig, sort, revision, wish, parts, ended is not null as is_ended, failed as has_failed
            from job where id = #{job}""")
    Optional<Row> find(@Param("job") long job);

    @Delete("delete from job where rig = #{rig} and sort = #{sort}")
    void forget(@Param("rig") long rig, @Param("sort") String sort);

    @Select("""
            insert into job (rig, sort, revision, wish, parts)
            values (#{rig}, #{sort}, #{revision}, #{wish}, #{parts}) returning id""")
    long begin(
            @Param("rig") long rig,
            @Param("sort") String sort,
            @Param("revision") int revision,
            @Param("wish") String wish,
            @Param("parts") int parts);

    /** How many of the crew of a rig go on. */
    @Select("""
            select count(*) from job j join rig r on r.id = j.rig
            where j.ended is null and j.rig <> #{rig} and r.crew = (select crew from rig where id = #{rig})
              and (select count(*) from job_part p where p.job = j.id) < j.parts""")
    int goingBeside(@Param("rig") long rig);

    @Update("update job set ended = now() where rig = #{rig} and sort = #{sort} and ended is null")
    void end(@Param("rig") long rig, @Param("sort") String sort);

    @Update("update job set ended = now() where rig = #{rig} and ended is null")
    void endAll(@Param("rig") long rig);

    @Update("update job set ended = now(), failed = true where id = #{job} and ended is null")
    void fail(@Param("job") long job);

    @Select("select n, result from job_part where job = #{job} order by n")
    List<PartRow> done(@Param("job") long job);

    /** Keeps what came of a part, once, unless the work is forgotten. */
    @Insert("""
            insert into job_part (job, n, result, server)
            select id, #{n}, #{result}, #{server} from job where id = #{job}
            on conflict (job, n) do nothing""")
    int add(@Param("job") long job, @Param("n") int n, @Param("result") String result, @Param("server") String server);

    /** What a clock shows that is the same for all servers, microseconds since 1970. */
    @Select("select (extract(epoch from clock_timestamp()) * 1000000)::bigint")
    long clock();
}
