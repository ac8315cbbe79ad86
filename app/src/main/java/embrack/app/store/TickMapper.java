package embrack.app.store;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The SQL of ticks on sheets. */
@Mapper
interface TickMapper {

    /** A row. */
    record Row(String key, String words, String who, OffsetDateTime at) {}

    @Select("select key, words, who, at from sheet_tick where rig = #{rig} and done order by at, key")
    List<Row> all(@Param("rig") long rig);

    @Insert("""
            insert into sheet_tick (rig, key, words, who) values (#{rig}, #{key}, #{words}, #{who})
            on conflict (rig, key) do update
            set words = excluded.words, who = excluded.who, at = now(), done = true""")
    void put(@Param("rig") long rig, @Param("key") String key, @Param("words") String words, @Param("who") String who);

    /** How many rows it became: none where one of that time or a newer one stands. */
    @Insert("""
            insert into sheet_tick (rig, key, words, who, at, done)
            values (#{rig}, #{key}, #{words}, #{who}, #{at}, #{done})
            on conflict (rig, key) do update
            set words = excluded.words, who = excluded.who, at = excluded.at, done = excluded.done
            where sheet_tick.at < excluded.at""")
    int putAt(
            @Param("rig") long rig,
            @Param("key") String key,
            @Param("words") String words,
            @Param("who") String who,
            @Param("at") OffsetDateTime at,
            @Param("done") boolean done);

    /** Whether a line stands so; empty where it was never ticked. */
    @Select("select done from sheet_tick where rig = #{rig} and key = #{key}")
    Optional<Boolean> stands(@Param("rig") long rig, @Param("key") String key);

    @Update("update sheet_tick set done = false, at = now() where rig = #{rig} and key = #{key} and done")
    void takeBack(@Param("rig") long rig, @Param("key") String key);

    @Update("update sheet_tick set done = false, at = now() where rig = #{rig} and key like 'doors/%' and done")
    void takeBackDoors(@Param("rig") long rig);

    @Update("update sheet_tick set done = false, at = now() where rig = #{rig} and key not like 'doors/%' and done")
    void takeBackSheets(@Param("rig") long rig);
}
