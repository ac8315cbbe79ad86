package embrack.app.store;

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

/** The SQL of rigs and their revisions. */
@Mapper
interface RigMapper {

    /** A row of the list. */
    record Listed(long id, long crew, String name, int boxes, OffsetDateTime changed) {}

    /** Of the first revision and of another. */
    record Times(OffsetDateTime made, OffsetDateTime changed) {}

    /** What the row of a rig says of its newest revision, so that it need not be read. */
    record Newest(int n, String name, int boxes, String[] models) {}

    @Select("""
            select id, crew, name, boxes, changed_at as changed from rig
             where deleted_at is null
             order by changed_at desc, id desc""")
    List<Listed> list();

    /** Those that somebody sees: all of a crew that they belong to, and as a guest those that are shared with them. */
    @Select("""
            select r.id, r.crew, r.name, r.boxes, r.changed_at as changed
              from crew_member m join rig r on r.crew = m.crew
             where m.account = #{account} and r.deleted_at is null
               and (m.role <> 'guest'
                    or exists (select 1 from rig_guest g where g.rig = r.id and g.account = m.account))
             order by r.changed_at desc, r.id desc""")
    List<Listed> visibleTo(@Param("account") long account);

    @Select("""
            select id, crew, name, boxes, changed_at as changed from rig
             where crew = #{crew} and deleted_at is null
             order by changed_at desc, id desc""")
    List<Listed> ofCrew(@Param("crew") long crew);

    /** Whose a rig is, deleted or not. */
    @Select("select crew from rig where id = #{id}")
    Optional<Long> crew(@Param("id") long id);

    @Select("select exists (select 1 from rig_guest where rig = #{id} and account = #{account})")
    boolean isShared(@Param("id") long id, @Param("account") long account);

    @Insert("insert into rig_guest (rig, account) values (#{id}, #{account}) on conflict do nothing")
    void share(@Param("id") long id, @Param("account") long account);

    @Delete("delete from rig_guest where rig = #{id} and account = #{account}")
    void unshare(@Param("id") long id, @Param("account") long account);

    @Select("""
            insert into rig (newest, name, boxes, models, crew) values (0, #{name}, 0, '{}', #{crew})
            returning id""")
    long create(@Param("crew") long crew, @Param("name") String name);

    @Select("select count(*) from rig")
    long countEver();

    /** Rigs whose newest revision holds a model. */
    @Select("""
            select id from rig
             where crew = #{crew} and deleted_at is null and models @> array[#{model}]::text[]
             order by id""")
    List<Long> using(@Param("crew") long crew, @Param("model") String model);

    @Select("""
            select v.n, v.author, v.at, v.summary, v.intent, v.undo_to, v.redo_to
              from rig r join rig_revision v on v.rig = r.id and v.n = r.newest
             where r.id = #{id} and r.deleted_at is null""")
    Optional<Revision> newest(@Param("id") long id);

    @Select("select n, author, at, summary, intent, undo_to, redo_to from rig_revision where rig = #{id} and n = #{n}")
    Optional<Revision> revision(@Param("id") long id, @Param("n") int n);

    /** The newest rows first, from one on backwards. */
    @Select("""
            select n, author, at, summary, intent, undo_to, redo_to from rig_revision
             where rig = #{id} and n <= #{from} order by n desc limit #{most}""")
    List<Revision> back(@Param("id") long id, @Param("from") int from, @Param("most") int most);

    /** A row of the history as it is listed. */
    record Told(
            int n,
            String author,
            OffsetDateTime at,
            @Nullable String name,
            String summary) {}

    @Select("""
            select v.n, v.author, v.at, m.name,
                   case when v.intent like 'undo %' then 'Undo: ' || u.summary
                        when v.intent like 'redo %' then 'Redo: ' || v.summary
                        else v.summary end as summary
              from rig_revision v
              left join rig_revision_name m on m.rig = v.rig and m.n = v.n
              left join rig_revision u on u.rig = v.rig and u.n = v.redo_to
             where v.rig = #{id} and v.n <= #{from}
             order by v.n desc limit #{most}""")
    List<Told> told(@Param("id") long id, @Param("from") int from, @Param("most") int most);

    @Select("""
            select v.n, v.author, v.at, m.name, v.summary
              from rig_revision_name m join rig_revision v on v.rig = m.rig and v.n = m.n
             where m.rig = #{id}
             order by v.n desc""")
    List<Told> named(@Param("id") long id);

    @Insert("""
            insert into rig_revision_name (rig, n, name, by) values (#{id}, #{n}, #{name}, #{by})
            on conflict (rig, n) do update set name = excluded.name, by = excluded.by, at = now()""")
    void name(@Param("id") long id, @Param("n") int n, @Param("name") String name, @Param("by") String by);

    @Delete("delete from rig_revision_name where rig = #{id} and n = #{n}")
    void unname(@Param("id") long id, @Param("n") int n);

    @Select("select n from rig_looked where rig = #{id} and account = #{account}")
    Optional<Integer> looked(@Param("id") long id, @Param("account") long account);

    @Insert("""
            insert into rig_looked (rig, account, n) values (#{id}, #{account}, #{n})
            on conflict (rig, account) do update set n = greatest(rig_looked.n, excluded.n), at = now()""")
    void look(@Param("id") long id, @Param("account") long account, @Param("n") int n);

    /** When the first and the newest row of a rig were written. */
    @Select("select min(at) as made, max(at) as changed from rig_revision where rig = #{id} and n in (1, #{n})")
    Times times(@Param("id") long id, @Param("n") int n);

    @Select("select count(*) from rig where crew = #{crew} and deleted_at is null")
    int countOf(@Param("crew") long crew);

    /** Whether anybody else wrote after a row. */
    @Select("select exists (select from rig_revision where rig = #{id} and n > #{n} and author <> #{author})")
    boolean isByOthers(@Param("id") long id, @Param("n") int n, @Param("author") String author);

    /** The row that was written by one sending. */
    @Select("select n from rig_revision where rig = #{id} and once = #{once}")
    Optional<Integer> sent(@Param("id") long id, @Param("once") String once);

    /** The rows that a document is read from: the last whole one up to it, and those that follow. */
    @Select("""
            select n, whole, body from rig_revision
             where rig = #{id} and n <= #{n}
               and n >= (select max(n) from rig_revision where rig = #{id} and n <= #{n} and whole)
             order by n""")
    List<Archive.Stored> chain(@Param("id") long id, @Param("n") int n);

    /** Makes a revision the newest, if the one before it still is; the number of rigs for which that could be. */
    @Update("""
            update rig set newest = #{r.n}, name = #{r.name}, boxes = #{r.boxes},
                   models = #{r.models, typeHandler=org.apache.ibatis.type.ArrayTypeHandler}, changed_at = now()
             where id = #{id} and newest = #{r.n} - 1 and deleted_at is null""")
    int advance(@Param("id") long id, @Param("r") Newest newest);

    @Insert("""
            insert into rig_revision (rig, n, whole, body, author, summary, intent, once, undo_to, redo_to)
            values (#{id}, #{r.n}, #{body.isWhole}, #{body.bytes}, #{r.author}, #{r.summary}, #{r.intent},
                    #{once,jdbcType=VARCHAR},
                    #{r.undoTo,jdbcType=INTEGER}, #{r.redoTo,jdbcType=INTEGER})""")
    void add(
            @Param("id") long id,
            @Param("r") Revision revision,
            @Param("body") Archive.Body body,
            @Param("once") @Nullable String once);

    @Update("update rig set deleted_at = now() where id = #{id} and deleted_at is null")
    int delete(@Param("id") long id);

    @Update("update rig set deleted_at = null where id = #{id} and deleted_at is not null")
    int restore(@Param("id") long id);
}
