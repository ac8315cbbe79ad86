package embrack.app.store;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The SQL of worlds that are tried. */
@Mapper
interface TrialMapper {

    @Insert("insert into trial (token, rig, muted) values (#{token}, #{rig}, #{muted})")
    void begin(@Param("token") String token, @Param("rig") long rig, @Param("muted") boolean muted);

    /** Takes the row, so that treads that come at once follow one another. */
    @Select("select muted from trial where token = #{token} and rig = #{rig} for update")
    Optional<Boolean> take(@Param("token") String token, @Param("rig") long rig);

    @Select("select muted from trial where token = #{token} and rig = #{rig}")
    Optional<Boolean> find(@Param("token") String token, @Param("rig") long rig);

    @Select("select tread from trial_tread where trial = #{token} order by n")
    List<String> treads(@Param("token") String token);

    @Select("select count(*) from trial_tread where trial = #{token}")
    int count(@Param("token") String token);

    @Insert("insert into trial_tread (trial, n, tread) values (#{token}, #{n}, #{tread})")
    void add(@Param("token") String token, @Param("n") int n, @Param("tread") String tread);

    @Delete("delete from trial_tread where trial = #{token} and n = #{n}")
    void remove(@Param("token") String token, @Param("n") int n);

    @Delete("delete from trial where token = #{token}")
    void end(@Param("token") String token);

    /** Those of long ago, which nobody comes back to. */
    @Delete("delete from trial where begun < now() - interval '30 days'")
    void forgetOld();
}
