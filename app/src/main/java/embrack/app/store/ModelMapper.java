package embrack.app.store;

import embrack.core.gear.Model;
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

    @Select("""
            select distinct on (m.id) v.n, v.doc, v.at, v.summary
              from gear_model m join gear_model_revision v on v.model = m.id
             where m.deleted_at is null
             order by m.id, v.n desc""")
    List<ModelRevision> newest();

    @Select("""
            select v.n, v.doc, v.at, v.summary
              from gear_model m join gear_model_revision v on v.model = m.id
             where m.id = #{id} and m.deleted_at is null
             order by v.n desc""")
    List<ModelRevision> revisions(@Param("id") String id);

    @Select("select id from gear_model")
    List<String> idsEver();

    @Select("select id from gear_model where id = #{id} and deleted_at is null for update")
    Optional<String> lock(@Param("id") String id);

    @Insert("insert into gear_model (id) values (#{id})")
    void create(@Param("id") String id);

    @Insert("insert into gear_model_revision (model, n, doc, author, summary) values (#{id}, #{n}, #{doc}, #{author}, #{summary})")
    void add(@Param("id") String id, @Param("n") int n, @Param("doc") Model doc, @Param("author") String author, @Param("summary") String summary);

    @Update("update gear_model set deleted_at = now() where id = #{id} and deleted_at is null")
    int delete(@Param("id") String id);

    @Update("update gear_model set deleted_at = null where id = #{id} and deleted_at is not null")
    int restore(@Param("id") String id);
}
