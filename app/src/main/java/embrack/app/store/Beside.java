package embrack.app.store;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** What pages of a rig show that is not in its plan: ticks on its sheets, the models of the crew. */
@Mapper
public interface Beside {

    /** A mark that is another once any of it is: how many there are, and when the last of them came. */
    @Select("""
            select (select count(*) || '/' || coalesce(max(at)::text, '') from sheet_tick where rig = #{rig}) || ' '
                || (select count(*) || '/' || coalesce(max(at)::text, '') from gear_model_revision) || ' '
                || (select count(*) from gear_model where deleted_at is null)""")
    String mark(@Param("rig") long rig);
}
