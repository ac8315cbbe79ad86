package embrack.app.store.crew;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The SQL of all that a crew has. Names of tables and columns are the catalogue's own. */
@Mapper
interface BelongingsMapper {

    /** A table whose rows belong to rows of another: what stands in the one column stands in the other's. */
    record Part(String name, String link, String whole, String key) {}

    /** What belongs to rigs, directly or by something else that does; each table once. */
    @Select("""
            with recursive foreign_key as (
                select k.conrelid::regclass::text as name, a.attname as link, k.confrelid::regclass::text as whole,
                       b.attname as key
                  from pg_constraint k
                  join pg_attribute a on a.attrelid = k.conrelid and a.attnum = k.conkey[1]
                  join pg_attribute b on b.attrelid = k.confrelid and b.attnum = k.confkey[1]
                 where k.contype = 'f' and k.conrelid <> k.confrelid
            ), part as (
                select name, link, whole, key, 1 as depth from foreign_key where whole = 'rig'
                union
                select f.name, f.link, f.whole, f.key, p.depth + 1
                  from foreign_key f join part p on f.whole = p.name
                 where p.depth < 4
            )
            select distinct on (name) name, link, whole, key from part order by name, depth, link""")
    List<Part> parts();

    /** All rigs of a crew, also those that were deleted. */
    @Select("select id from rig where crew = #{crew} order by id")
    List<Long> rigs(@Param("crew") long crew);

    /** Rows as JSON, a text each. */
    @Select("select row_to_json(t)::text from ${table} t where ${where} order by 1")
    List<String> rows(@Param("table") String table, @Param("where") String where);

    @Delete("delete from ${table} where ${where}")
    int delete(@Param("table") String table, @Param("where") String where);

    @Update("update crew set name = #{name} where id = #{crew}")
    int rename(@Param("crew") long crew, @Param("name") String name);
}
