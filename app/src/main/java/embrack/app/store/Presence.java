package embrack.app.store;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Who has which room of a rig open, as pages say every few seconds; who says nothing for a while has gone. */
@Mapper
public interface Presence {

    /** Somebody in a room. */
    record Somebody(String who, String room) {}

    /** A page says that it is open. */
    @Insert("""
            insert into here (rig, page, who, room) values (#{rig}, #{page}, #{who}, #{room})
            on conflict (rig, page) do update set who = excluded.who, room = excluded.room, at = now()""")
    void mark(@Param("rig") long rig, @Param("page") String page, @Param("who") String who, @Param("room") String room);

    /** Others than somebody, by name. */
    @Select("""
            select distinct who, room from here
             where rig = #{rig} and who <> #{who} and at > now() - interval '15 seconds'
             order by who, room limit 20""")
    List<Somebody> others(@Param("rig") long rig, @Param("who") String who);

    @Delete("delete from here where at < now() - interval '1 minute'")
    int forget();
}
