package embrack.app.store;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The SQL behind {@link ModelStore}. */
@Mapper
interface ModelMapper {

    /** A revision without its document. */
    record Row(long crew, String model, int n, OffsetDateTime at, String summary) {}

    @Select("""
            select distinct on (m.id) v.crew, v.model, v.n, v.at, v.summary
              from gear_model m join gear_model_revision v on v.crew = m.crew and v.model = m.id
             where m.crew = #{crew} and m.deleted_at is null
             order by m.id, v.n desc""")
    List<Row> newest(@Param("crew") long crew);

    @Select("""
            select v.crew, v.model, v.n, v.at, v.summary
              from gear_model m join gear_model_revision v on v.crew = m.crew and v.model = m.id
             where m.crew = #{crew} and m.id = #{id} and m.deleted_at is null
             order by v.n desc""")
    List<Row> revisions(@Param("crew") long crew, @Param("id") String id);

    @Select("select doc::text from gear_model_revision where crew = #{crew} and model = #{id} and n = #{n}")
    String doc(@Param("crew") long crew, @Param("id") String id, @Param("n") int n);

    @Select("select id from gear_model where crew = #{crew} and id = #{id} and deleted_at is null for update")
    Optional<String> lock(@Param("crew") long crew, @Param("id") String id);

    /** Holds all names and ids until the transaction ends, so that none is given twice. */
    @Select("select 1 from (select pg_advisory_xact_lock(7301)) held")
    int holdNames();

    @Select("select id from gear_model where crew = #{crew}")
    List<String> idsEver(@Param("crew") long crew);

    @Insert("insert into gear_model (crew, id) values (#{crew}, #{id})")
    void create(@Param("crew") long crew, @Param("id") String id);

    @Insert("""
            insert into gear_model_revision (crew, model, n, doc, author, summary)
            values (#{crew}, #{id}, #{n}, #{doc}::jsonb, #{author}, #{summary})""")
    void add(
            @Param("crew") long crew,
            @Param("id") String id,
            @Param("n") int n,
            @Param("doc") String doc,
            @Param("author") String author,
            @Param("summary") String summary);

    @Update("update gear_model set deleted_at = now() where crew = #{crew} and id = #{id} and deleted_at is null")
    int delete(@Param("crew") long crew, @Param("id") String id);

    @Update("""
            update gear_model set deleted_at = null
             where crew = #{crew} and id = #{id} and deleted_at is not null""")
    int restore(@Param("crew") long crew, @Param("id") String id);
}
