package embrack.app.store;

import java.time.OffsetDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The SQL of ticks on sheets. */
@Mapper
interface TickMapper {

    /** A row. */
    record Row(String key, String words, String who, OffsetDateTime at) {}

    @Select("select key, words, who, at from sheet_tick where rig = #{rig} order by at, key")
    List<Row> all(@Param("rig") long rig);

    @Insert("""
            insert into sheet_tick (rig, key, words, who) values (#{rig}, #{key}, #{words}, #{who})
            on conflict (rig, key) do update set words = excluded.words, who = excluded.who, at = now()""")
    void put(@Param("rig") long rig, @Param("key") String key, @Param("words") String words, @Param("who") String who);

    /** How many rows it became: none where a newer one stands. */
    @Insert("""
            insert into sheet_tick (rig, key, words, who, at) values (#{rig}, #{key}, #{words}, #{who}, #{at})
            on conflict (rig, key) do update set words = excluded.words, who = excluded.who, at = excluded.at
            where sheet_tick.at < excluded.at""")
    int putAt(
            @Param("rig") long rig,
            @Param("key") String key,
            @Param("words") String words,
            @Param("who") String who,
            @Param("at") OffsetDateTime at);

    @Delete("delete from sheet_tick where rig = #{rig} and key = #{key} and at < #{at}")
    int removeBefore(@Param("rig") long rig, @Param("key") String key, @Param("at") OffsetDateTime at);

    @Delete("delete from sheet_tick where rig = #{rig} and key = #{key}")
    void remove(@Param("rig") long rig, @Param("key") String key);

    @Delete("delete from sheet_tick where rig = #{rig} and key like 'doors/%'")
    void clearDoors(@Param("rig") long rig);

    @Delete("delete from sheet_tick where rig = #{rig} and key not like 'doors/%'")
    void clear(@Param("rig") long rig);
}
