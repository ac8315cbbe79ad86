package embrack.app.store;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

/** The SQL of what servers tell one another. */
@Mapper
interface NewsMapper {

    /** Something that a server told. */
    record Row(
            long id,
            String server,
            String sort,
            @Nullable Long rig,
            @Nullable Integer number) {}

    /**
     * Tells something with the transaction that it happened in. One at a time, so that numbers are given in the order
     * in which others come to see them, and none is passed over.
     */
    @Select("""
            with held as materialized (select pg_advisory_xact_lock(7303)),
                 told as (insert into news (server, sort, rig, number)
                          select #{server}, #{sort}, #{rig,jdbcType=BIGINT}, #{number,jdbcType=INTEGER} from held
                          returning id)
            select count(*) from (select pg_notify('news', id::text) from told) noticed""")
    long tell(
            @Param("server") String server,
            @Param("sort") String sort,
            @Param("rig") @Nullable Long rig,
            @Param("number") @Nullable Integer number);

    @Select("select coalesce(max(id), 0) from news")
    long last();

    @Select("select id, server, sort, rig, number from news where id > #{last} order by id limit 1000")
    List<Row> after(@Param("last") long last);

    @Delete("delete from news where at < now() - interval '1 hour'")
    int forget();
}
