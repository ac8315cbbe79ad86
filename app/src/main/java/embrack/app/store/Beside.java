package embrack.app.store;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** What pages show that is in no plan: ticks on sheets, the models of the crew, what rigs there are. */
@Mapper
public interface Beside {

    /** A mark that is another once a tick of the rig or a model is: how many there are, and when they came. */
    @Select("""
            select (select count(*) || '/' || coalesce(sum(extract(epoch from at))::text, '')
                      from sheet_tick where rig = #{rig}) || ' '
                || (select count(*) || '/' || coalesce(max(at)::text, '') from gear_model_revision) || ' '
                || (select count(*) from gear_model where deleted_at is null)""")
    String ofRig(@Param("rig") long rig);

    /** A mark that is another once a model or a rig is. */
    @Select("""
            select (select count(*) || '/' || coalesce(max(at)::text, '') from gear_model_revision) || ' '
                || (select count(*) from gear_model where deleted_at is null) || ' '
                || (select count(*) || '/' || coalesce(sum(newest), 0) || '/' || coalesce(max(changed_at)::text, '')
                      from rig where deleted_at is null)""")
    String ofModels();
}
