package embrack.app.store;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** The SQL of run-throughs. */
@Mapper
interface RunMapper {

    /** A run that was begun. */
    record Row(
            long id,
            int revision,
            String sort,
            int part,
            int bar,
            boolean byPlan,
            String who,
            String drill,
            @Nullable Long seed,
            @Nullable Long replays,
            long reached,
            String pace) {}

    /** What came upon it. */
    record ActRow(long at, String act, String who) {}

    @Select("""
            insert into run (rig, revision, sort, part, bar, by_plan, who, drill, seed, replays, reached, pace,
                             server, held_until)
            values (#{rig}, #{r.revision}, #{r.sort}, #{r.part}, #{r.bar}, #{r.byPlan}, #{r.who}, #{r.drill}, #{r.seed},
                    #{r.replays}, #{r.reached}, #{r.pace}, #{server}, now() + interval '6 seconds') returning id""")
    long begin(@Param("rig") long rig, @Param("r") Row row, @Param("server") String server);

    /** A run goes on at a server from now on, if it does at no other that said so within the last seconds. */
    @Update("""
            update run set server = #{server}, held_until = now() + interval '6 seconds'
            where id = #{run} and ended is null
              and (server is null or server = #{server} or held_until < now())""")
    int hold(@Param("run") long run, @Param("server") String server);

    /** Those of some runs, numbers with commas, that still go on at a server, which says so again. */
    @Select("""
            update run set held_until = now() + interval '6 seconds'
            where id = any (string_to_array(#{runs}, ',')::bigint[]) and server = #{server} and ended is null
            returning id""")
    List<Long> holdOn(@Param("runs") String runs, @Param("server") String server);

    @Update("update run set server = null, held_until = null where id = #{run} and server = #{server}")
    void letGo(@Param("run") long run, @Param("server") String server);

    @Select("""
            select id, revision, sort, part, bar, by_plan, who, drill, seed, replays, reached, pace from run
            where rig = #{rig} and ended is null order by id desc limit 1""")
    Optional<Row> open(@Param("rig") long rig);

    @Select("""
            select id, revision, sort, part, bar, by_plan, who, drill, seed, replays, reached, pace from run
            where rig = #{rig} and id = #{run}""")
    Optional<Row> find(@Param("rig") long rig, @Param("run") long run);

    @Update("update run set replays = null where id = #{run}")
    void goOnAlone(@Param("run") long run);

    @Update("update run set ended = now() where rig = #{rig} and ended is null")
    void endAll(@Param("rig") long rig);

    @Update("update run set reached = #{reached}, pace = #{pace} where id = #{run} and server = #{server}")
    int reached(
            @Param("run") long run,
            @Param("reached") long reached,
            @Param("pace") String pace,
            @Param("server") String server);

    /** Keeps an act of a run that goes on at a server; none where it goes on elsewhere. */
    @Insert("""
            insert into run_act (run, n, at, act, who)
            select r.id, (select coalesce(max(n), 0) + 1 from run_act where run = r.id), #{at}, #{act}, #{who}
            from run r where r.id = #{run} and r.server = #{server}""")
    int act(
            @Param("run") long run,
            @Param("at") long at,
            @Param("act") String act,
            @Param("who") String who,
            @Param("server") String server);

    @Select("select at, act, who from run_act where run = #{run} order by n")
    List<ActRow> acts(@Param("run") long run);

    /** How often something goes wrong. */
    record RateRow(String sort, double rate) {}

    @Select("select sort, rate from run_rate where rig = #{rig}")
    List<RateRow> rates(@Param("rig") long rig);

    @Insert("""
            insert into run_rate (rig, sort, rate) values (#{rig}, #{sort}, #{rate})
            on conflict (rig, sort) do update set rate = excluded.rate""")
    void rate(@Param("rig") long rig, @Param("sort") String sort, @Param("rate") double rate);
}
