package embrack.app.store.crew;

import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The SQL of wrong tries to sign in. Times are those of the database, so that all servers have the same. */
@Mapper
interface TryMapper {

    /** Holds what is counted until the transaction ends; the seconds until a try may be made, 0 or less for now. */
    @Select("""
            insert into sign_in_try as t (what, wrong, until) values (#{what}, 0, clock_timestamp())
            on conflict (what) do update set what = t.what
            returning ceil(extract(epoch from t.until - clock_timestamp()))::bigint""")
    long left(@Param("what") String what);

    /** Counts a try; a day after the last, counting begins anew. */
    @Select("""
            update sign_in_try
               set wrong = case when last < now() - interval '1 day' then 1 else wrong + 1 end, last = now()
             where what = #{what} returning wrong""")
    Optional<Integer> count(@Param("what") String what);

    @Update("update sign_in_try set until = clock_timestamp() + make_interval(secs => #{seconds}) where what = #{what}")
    int waits(@Param("what") String what, @Param("seconds") double seconds);

    @Delete("delete from sign_in_try where what = #{what}")
    int forget(@Param("what") String what);

    /** Takes one try back. */
    @Update("""
            update sign_in_try set wrong = greatest(wrong - 1, 0), until = least(until, clock_timestamp())
             where what = #{what}""")
    int takeBack(@Param("what") String what);

    @Delete("delete from sign_in_try where last < now() - interval '2 days'")
    int forgetOld();
}
