package embrack.app.store;

import java.time.OffsetDateTime;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The SQL of what was printed. */
@Mapper
interface PrintMapper {

    /** A row. */
    record Row(int revision, OffsetDateTime at) {}

    @Select("select revision, at from folder_print where rig = #{rig}")
    Optional<Row> last(@Param("rig") long rig);

    @Insert("""
            insert into folder_print (rig, revision) values (#{rig}, #{revision})
            on conflict (rig) do update set revision = excluded.revision, at = now()""")
    void put(@Param("rig") long rig, @Param("revision") int revision);
}
