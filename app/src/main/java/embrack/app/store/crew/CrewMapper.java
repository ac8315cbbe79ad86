package embrack.app.store.crew;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The SQL of crews, members and invitations. */
@Mapper
interface CrewMapper {

    /** A member as a row. */
    record Row(long account, String name, String role, OffsetDateTime since) {}

    /** An invitation as a row. */
    record Invited(
            long id, long crew, String crewName, String role, String note, String madeBy, OffsetDateTime until) {}

    @Select("select name from crew where id = #{crew}")
    Optional<String> name(@Param("crew") long crew);

    @Select("insert into crew (name) values (#{name}) returning id")
    long create(@Param("name") String name);

    @Update("update crew set name = #{name} where id = #{crew}")
    int rename(@Param("crew") long crew, @Param("name") String name);

    /** Holds who belongs to a crew until the transaction ends. */
    @Select("select id from crew where id = #{crew} for update")
    Optional<Long> lock(@Param("crew") long crew);

    @Select("""
            select a.id as account, a.name, m.role, m.since
              from crew_member m join account a on a.id = m.account
             where m.crew = #{crew}
             order by a.folded""")
    List<Row> members(@Param("crew") long crew);

    /** Somebody who belongs to it already stays what they are. */
    @Insert("""
            insert into crew_member (crew, account, role) values (#{crew}, #{account}, #{role})
            on conflict (crew, account) do nothing""")
    int join(@Param("crew") long crew, @Param("account") long account, @Param("role") String role);

    @Update("update crew_member set role = #{role} where crew = #{crew} and account = #{account}")
    int appoint(@Param("crew") long crew, @Param("account") long account, @Param("role") String role);

    @Delete("delete from crew_member where crew = #{crew} and account = #{account}")
    int leave(@Param("crew") long crew, @Param("account") long account);

    @Select("select count(*) from crew_member where crew = #{crew} and role = 'lead' and account <> #{account}")
    int otherLeads(@Param("crew") long crew, @Param("account") long account);

    @Select("""
            insert into invitation (crew, role, hash, note, made_by, until)
            values (#{crew}, #{role}, #{hash}, #{note}, #{by}, now() + make_interval(days => #{days}))
            returning id""")
    long invite(
            @Param("crew") long crew,
            @Param("role") String role,
            @Param("hash") String hash,
            @Param("note") String note,
            @Param("by") String by,
            @Param("days") int days);

    @Select("""
            select i.id, i.crew, c.name as crew_name, i.role, i.note, i.made_by, i.until
              from invitation i join crew c on c.id = i.crew
             where i.crew = #{crew} and i.used_by is null and i.ended_at is null and i.until > now()
             order by i.until, i.id""")
    List<Invited> invitations(@Param("crew") long crew);

    @Select("""
            select i.id, i.crew, c.name as crew_name, i.role, i.note, i.made_by, i.until
              from invitation i join crew c on c.id = i.crew
             where i.hash = #{hash} and i.used_by is null and i.ended_at is null and i.until > now()""")
    Optional<Invited> invitation(@Param("hash") String hash);

    /** Uses an invitation up, if it still holds; whoever is first has it. */
    @Update("""
            update invitation set used_by = #{account}
             where hash = #{hash} and used_by is null and ended_at is null and until > now()""")
    int use(@Param("hash") String hash, @Param("account") long account);

    @Update("update invitation set ended_at = now() where crew = #{crew} and id = #{id} and ended_at is null")
    int end(@Param("crew") long crew, @Param("id") long id);
}
