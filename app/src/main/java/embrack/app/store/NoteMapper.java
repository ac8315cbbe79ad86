package embrack.app.store;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The SQL of notes. */
@Mapper
interface NoteMapper {

    @Insert("""
            insert into rig_note (rig, about, words, who, whom)
            values (#{rig}, #{about}, #{words}, #{who}, #{whom})""")
    void add(
            @Param("rig") long rig,
            @Param("about") String about,
            @Param("words") String words,
            @Param("who") String who,
            @Param("whom") String whom);

    /** Those that are open first, of each the newest first. */
    @Select("""
            select id, about, words, who, whom, at, done_at, done_by from rig_note
             where rig = #{rig}
             order by done_at is not null, at desc, id desc limit 500""")
    List<Note> of(@Param("rig") long rig);

    @Select("""
            select id, about, words, who, whom, at, done_at, done_by from rig_note
             where rig = #{rig} and id = #{id}""")
    Optional<Note> find(@Param("rig") long rig, @Param("id") long id);

    /** How many are open to somebody, of each rig. */
    @Select("""
            select rig, count(*) as notes from rig_note
             where whom = #{whom} and done_at is null
             group by rig""")
    List<Waiting> waiting(@Param("whom") String whom);

    /** Notes of a rig that wait for somebody. */
    record Waiting(long rig, int notes) {}

    @Update("""
            update rig_note set done_at = now(), done_by = #{who}
             where rig = #{rig} and id = #{id} and done_at is null""")
    int done(@Param("rig") long rig, @Param("id") long id, @Param("who") String who);

    @Update("update rig_note set done_at = null, done_by = '' where rig = #{rig} and id = #{id}")
    int reopen(@Param("rig") long rig, @Param("id") long id);
}
