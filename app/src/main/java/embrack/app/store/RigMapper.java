package embrack.app.store;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The SQL of rigs and their revisions. */
@Mapper
interface RigMapper {

    /** A row of the list. */
    record Listed(long id, String name, int devices, OffsetDateTime changed) {
    }

    @Select("""
            select r.id, v.doc ->> 'name' as name, jsonb_array_length(v.doc -> 'devices') as devices, v.at as changed
              from rig r join rig_revision v on v.rig = r.id
             where r.deleted_at is null and v.n = (select max(n) from rig_revision where rig = r.id)
             order by v.at desc, r.id desc""")
    List<Listed> list();

    @Select("insert into rig default values returning id")
    long create();

    @Select("select count(*) from rig")
    long countEver();

    /** Rigs whose newest revision holds a model; {@code models} as JSON. */
    @Select("""
            select r.id
              from rig r join rig_revision v on v.rig = r.id
             where r.deleted_at is null and v.doc -> 'models' @> #{models}::jsonb
               and v.n = (select max(n) from rig_revision where rig = r.id)
             order by r.id""")
    List<Long> using(@Param("models") String models);

    /** Holds the rig until the transaction ends, so that edits follow one another. */
    @Select("select id from rig where id = #{id} and deleted_at is null for update")
    Optional<Long> lock(@Param("id") long id);

    @Select("""
            select v.n, v.doc, v.summary, v.undo_to, v.redo_to
              from rig r join rig_revision v on v.rig = r.id
             where r.id = #{id} and r.deleted_at is null
             order by v.n desc limit 1""")
    Optional<Revision> newest(@Param("id") long id);

    @Select("select n, doc, summary, undo_to, redo_to from rig_revision where rig = #{id} and n = #{n}")
    Optional<Revision> revision(@Param("id") long id, @Param("n") int n);

    @Select("select summary from rig_revision where rig = #{id} and n = #{n}")
    Optional<String> summary(@Param("id") long id, @Param("n") int n);

    @Insert("""
            insert into rig_revision (rig, n, doc, author, summary, undo_to, redo_to)
            values (#{id}, #{r.n}, #{r.doc}, #{author}, #{r.summary}, #{r.undoTo,jdbcType=INTEGER}, #{r.redoTo,jdbcType=INTEGER})""")
    void add(@Param("id") long id, @Param("author") String author, @Param("r") Revision revision);

    @Update("update rig set deleted_at = now() where id = #{id} and deleted_at is null")
    int delete(@Param("id") long id);

    @Update("update rig set deleted_at = null where id = #{id} and deleted_at is not null")
    int restore(@Param("id") long id);
}
