package embrack.app.store;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The SQL of run-throughs. */
@Mapper
interface RunMapper {

    /** A run that was begun. */
    record Row(long id, int revision, int part, int bar, boolean byPlan, String who, long reached, String pace) {}

    /** What came upon it. */
    record ActRow(long at, String act, String who) {}

    @Select("""
            insert into run (rig, revision, part, bar, by_plan, who, reached, pace)
            values (#{rig}, #{revision}, #{part}, #{bar}, #{byPlan}, #{who}, #{reached}, #{pace}) returning id""")
    long begin(
            @Param("rig") long rig,
            @Param("revision") int revision,
            @Param("part") int part,
            @Param("bar") int bar,
            @Param("byPlan") boolean byPlan,
            @Param("who") String who,
            @Param("reached") long reached,
            @Param("pace") String pace);

    @Select("""
            select id, revision, part, bar, by_plan, who, reached, pace from run
            where rig = #{rig} and ended is null order by id desc limit 1""")
    Optional<Row> open(@Param("rig") long rig);

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
}
