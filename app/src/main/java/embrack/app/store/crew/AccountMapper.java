package embrack.app.store.crew;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** The SQL of accounts. */
@Mapper
interface AccountMapper {

    /** An account with one of its crews; without one when it has none. */
    record Row(
            String name,
            @Nullable Long crew,
            @Nullable String crewName,
            @Nullable String role) {}

    /** What signing in needs. */
    record Known(long id, String password) {}

    @Select("select exists (select 1 from account)")
    boolean any();

    /** Lets one process at a time make the first account. */
    @Select("select 1 from (select pg_advisory_xact_lock(7302)) held")
    int holdTheFirst();

    @Select("""
            select a.name, c.id as crew, c.name as crew_name, m.role
              from account a
              left join crew_member m on m.account = a.id
              left join crew c on c.id = m.crew
             where a.id = #{id}
             order by lower(c.name), c.id""")
    List<Row> person(@Param("id") long id);

    @Select("select id, password from account where folded = #{folded}")
    Optional<Known> known(@Param("folded") String folded);

    @Select("select password from account where id = #{id}")
    Optional<String> password(@Param("id") long id);

    @Select("""
            insert into account (name, folded, password) values (#{name}, #{folded}, #{password})
            on conflict (folded) do nothing returning id""")
    Optional<Long> create(
            @Param("name") String name, @Param("folded") String folded, @Param("password") String password);

    @Update("update account set password = #{password} where id = #{id}")
    int change(@Param("id") long id, @Param("password") String password);

    @Delete("delete from recovery_code where account = #{id}")
    int forgetCodes(@Param("id") long id);

    @Insert("insert into recovery_code (account, hash) values (#{id}, #{hash})")
    void addCode(@Param("id") long id, @Param("hash") String hash);

    @Update("update recovery_code set used_at = now() where account = #{id} and hash = #{hash} and used_at is null")
    int useCode(@Param("id") long id, @Param("hash") String hash);

    @Select("select count(*) from recovery_code where account = #{id} and used_at is null")
    int codesLeft(@Param("id") long id);
}
