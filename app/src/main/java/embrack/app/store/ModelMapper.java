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
    record Row(String model, int n, OffsetDateTime at, String summary) {}

    @Select("""
            select distinct on (m.id) v.model, v.n, v.at, v.summary
              from gear_model m join gear_model_revision v on v.model = m.id
             where m.deleted_at is null
             order by m.id, v.n desc""")
    List<Row> newest();

    @Select("""
            select v.model, v.n, v.at, v.summary
              from gear_model m join gear_model_revision v on v.model = m.id
             where m.id = #{id} and m.deleted_at is null
             order by v.n desc""")
    List<Row> revisions(@Param("id") String id);

    @Select("select doc::text from gear_model_revision where model = #{id} and n = #{n}")
    String doc(@Param("id") String id, @Param("n") int n);

    @Select("select id from gear_model where id = #{id} and deleted_at is null for update")
    Optional<String> lock(@Param("id") String id);

    /** Holds all names and ids until the transaction ends, so that none is given twice. */
    @Select("select 1 from (select pg_advisory_xact_lock(7301)) held")
    int holdNames();

    @Select("select id from gear_model")
    List<String> idsEver();

    @Insert("insert into gear_model (id) values (#{id})")
    void create(@Param("id") String id);

    @Insert("""
            insert into gear_model_revision (model, n, doc, author, summary)
            values (#{id}, #{n}, #{doc}::jsonb, #{author}, #{summary})""")
    void add(
            @Param("id") String id,
            @Param("n") int n,
            @Param("doc") String doc,
            @Param("author") String author,
            @Param("summary") String summary);

    @Update("update gear_model set deleted_at = now() where id = #{id} and deleted_at is null")
    int delete(@Param("id") String id);

    @Update("update gear_model set deleted_at = null where id = #{id} and deleted_at is not null")
    int restore(@Param("id") String id);
}
