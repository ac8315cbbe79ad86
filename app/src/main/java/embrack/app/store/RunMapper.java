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
            insert into run (rig, revision, sort, part, bar, by_plan, who, drill, seed, replays, reached, pace)
            values (#{rig}, #{r.revision}, #{r.sort}, #{r.part}, #{r.bar}, #{r.byPlan}, #{r.who}, #{r.drill}, #{r.seed},
                    #{r.replays}, #{r.reached}, #{r.pace}) returning id""")
    long begin(@Param("rig") long rig, @Param("r") Row row);

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

    @Update("update run set reached = #{reached}, pace = #{pace} where id = #{run}")
    void reached(@Param("run") long run, @Param("reached") long reached, @Param("pace") String pace);

    @Insert("""
            insert into run_act (run, n, at, act, who)
            select #{run}, coalesce(max(n), 0) + 1, #{at}, #{act}, #{who} from run_act where run = #{run}""")
    void act(@Param("run") long run, @Param("at") long at, @Param("act") String act, @Param("who") String who);

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
