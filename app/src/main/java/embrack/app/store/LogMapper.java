package embrack.app.store;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** The SQL of the log. */
@Mapper
interface LogMapper {

    /** An entry. */
    record EntryRow(
            long id,
            String sort,
            @Nullable Long run,
            int revision,
            String who,
            String title,
            OffsetDateTime begun,
            OffsetDateTime ended,
            int wrongs,
            int presses,
            int rights,
            int todos) {}

    /** Something that happened. */
    record LineRow(long at, String sort, String part, String box, String words, long micros) {}

    /** A press that somebody had to make. */
    record PressRow(
            long at,
            String part,
            String target,
            String label,
            String sort,
            String grade,
            int millis,
            String instead,
            boolean beside,
            int rank) {}

    /** A press with who made it when. */
    record FootRow(
            long entry,
            String who,
            OffsetDateTime begun,
            String part,
            String label,
            String grade,
            int millis,
            boolean wrong) {}

    /** What somebody wrote to an entry. */
    record NoteRow(
            long id,
            long entry,
            @Nullable Long at,
            String part,
            String box,
            String words,
            String who,
            OffsetDateTime told,
            boolean todo,
            @Nullable OffsetDateTime settled,
            String settledBy,
            String reason) {}

    /** How often something failed. */
    record FailedRow(String name, int times, long micros, OffsetDateTime last) {}

    String ENTRY = """
            select e.id, e.sort, e.run, e.revision, e.who, e.title, e.begun, e.ended,
                   (select count(*) from log_line l where l.entry = e.id and l.sort in ('wrong', 'silent')) wrongs,
                   (select count(*) from log_press p where p.entry = e.id) presses,
                   (select count(*) from log_press p where p.entry = e.id and p.grade = 'right') rights,
                   (select count(*) from log_note n where n.entry = e.id and n.todo and n.settled is null) todos
            from log_entry e where e.rig = #{rig}
            """;

    @Select("""
            insert into log_entry (rig, sort, run, revision, who, title)
            values (#{rig}, #{sort}, #{run}, #{revision}, #{who}, #{title}) returning id""")
    long begin(
            @Param("rig") long rig,
            @Param("sort") String sort,
            @Param("run") @Nullable Long run,
            @Param("revision") int revision,
            @Param("who") String who,
            @Param("title") String title);

    @Select("select id from log_entry where run = #{run}")
    Optional<Long> ofRun(@Param("run") long run);

    /** The line check that went on last, unless it is long over. */
    @Select("""
            select id from log_entry where rig = #{rig} and sort = 'check' and revision = #{revision}
               and ended > now() - interval '1 hour' order by id desc limit 1""")
    Optional<Long> lastCheck(@Param("rig") long rig, @Param("revision") int revision);

    @Update("update log_entry set ended = now(), title = #{title} where id = #{entry}")
    void went(@Param("entry") long entry, @Param("title") String title);

    @Delete("delete from log_line where entry = #{entry}")
    void forgetLines(@Param("entry") long entry);

    @Delete("delete from log_press where entry = #{entry}")
    void forgetPresses(@Param("entry") long entry);

    @Insert("""
            <script>insert into log_line (entry, n, at, sort, part, box, words, micros) values
            <foreach collection="lines" item="l" index="i" separator=",">
              (#{entry}, #{from} + #{i}, #{l.at}, #{l.sort}, #{l.part}, #{l.box}, #{l.words}, #{l.micros})
            </foreach></script>""")
    void lines(@Param("entry") long entry, @Param("from") int from, @Param("lines") List<LineRow> lines);

    @Insert("""
            <script>insert into log_press
              (entry, n, at, part, target, label, sort, grade, millis, instead, beside, rank)
            values
            <foreach collection="presses" item="p" index="i" separator=",">
              (#{entry}, #{from} + #{i}, #{p.at}, #{p.part}, #{p.target}, #{p.label}, #{p.sort}, #{p.grade},
               #{p.millis}, #{p.instead}, #{p.beside}, #{p.rank})
            </foreach></script>""")
    void presses(@Param("entry") long entry, @Param("from") int from, @Param("presses") List<PressRow> presses);

    /** Entries that hold some words, in their lines, presses, notes or title; of a sort, or of all. */
    @Select(ENTRY + """
             and (#{sort} = '' or e.sort = #{sort})
             and (#{words} = '' or position(lower(#{words}) in lower(e.title || ' ' || e.who)) > 0
                or exists (select 1 from log_line l where l.entry = e.id
                           and position(lower(#{words}) in lower(l.part || ' ' || l.box || ' ' || l.words)) > 0)
                or exists (select 1 from log_press p where p.entry = e.id
                           and position(lower(#{words}) in lower(p.part || ' ' || p.label)) > 0)
                or exists (select 1 from log_note n where n.entry = e.id
                           and position(lower(#{words}) in lower(n.part || ' ' || n.box || ' ' || n.words)) > 0))
             and (#{about} = ''
                or exists (select 1 from log_line l where l.entry = e.id and #{about} in (l.part, l.box))
                or exists (select 1 from log_press p where p.entry = e.id and p.part = #{about})
                or exists (select 1 from log_note n where n.entry = e.id and #{about} in (n.part, n.box)))
             order by e.id desc limit #{most}""")
    List<EntryRow> find(
            @Param("rig") long rig,
            @Param("sort") String sort,
            @Param("words") String words,
            @Param("about") String about,
            @Param("most") int most);

    @Select(ENTRY + " and e.id = #{entry}")
    Optional<EntryRow> entry(@Param("rig") long rig, @Param("entry") long entry);

    @Select("select at, sort, part, box, words, micros from log_line where entry = #{entry} order by n")
    List<LineRow> linesOf(@Param("entry") long entry);

    @Select("""
            select at, part, target, label, sort, grade, millis, instead, beside, rank from log_press
            where entry = #{entry} order by n""")
    List<PressRow> pressesOf(@Param("entry") long entry);

    String NOTE = """
            select n.id, n.entry, n.at, n.part, n.box, n.words, n.who, n.told, n.todo, n.settled, n.settled_by, n.reason
            from log_note n join log_entry e on e.id = n.entry where e.rig = #{rig}
            """;

    @Select(NOTE + " and n.entry = #{entry} order by n.id")
    List<NoteRow> notesOf(@Param("rig") long rig, @Param("entry") long entry);

    @Select(NOTE + " and n.todo and n.settled is null order by n.id")
    List<NoteRow> open(@Param("rig") long rig);

    @Insert("""
            insert into log_note (entry, at, part, box, words, who, todo)
            values (#{n.entry}, #{n.at}, #{n.part}, #{n.box}, #{n.words}, #{n.who}, #{n.todo})""")
    void note(@Param("n") NoteRow note);

    @Update("""
            update log_note set settled = now(), settled_by = #{who}, reason = #{reason}
            where id = #{note} and settled is null and entry in (select id from log_entry where rig = #{rig})""")
    int settle(
            @Param("rig") long rig, @Param("note") long note, @Param("who") String who, @Param("reason") String reason);

    @Update("""
            update log_note set settled = null, settled_by = '', reason = ''
            where id = #{note} and entry in (select id from log_entry where rig = #{rig})""")
    int reopen(@Param("rig") long rig, @Param("note") long note);

    /** What failed most for a year, by box or part: in shows and line checks, and what was noted to be done. */
    @Select("""
            select name, count(*) times, sum(micros) micros, max(at) "last" from (
              select case when #{byBox} then l.box else l.part end name, l.micros, e.begun at
                from log_line l join log_entry e on e.id = l.entry
               where e.rig = #{rig} and e.sort in ('show', 'check') and l.sort in ('wrong', 'silent')
                 and e.begun > now() - interval '1 year'
              union all
              select case when #{byBox} then n.box else n.part end, 0, n.told
                from log_note n join log_entry e on e.id = n.entry
               where e.rig = #{rig} and n.todo and n.told > now() - interval '1 year') all_of_it
            where name <> '' group by name order by times desc, micros desc, name limit 5""")
    List<FailedRow> failed(@Param("rig") long rig, @Param("byBox") boolean byBox);

    /** The presses of drills and shows that somebody made last, the newest first. */
    @Select("""
            select e.id entry, e.who, e.begun, p.part, p.label, p.grade, p.millis, p.instead <> '' wrong
            from log_press p join log_entry e on e.id = p.entry
            where e.rig = #{rig} and e.who = #{who} and e.sort in ('drill', 'show')
            order by e.id desc, p.n limit #{most}""")
    List<FootRow> feet(@Param("rig") long rig, @Param("who") String who, @Param("most") int most);

    /** Whose feet there are. */
    @Select("""
            select distinct e.who from log_entry e where e.rig = #{rig} and e.sort in ('drill', 'show')
               and exists (select 1 from log_press p where p.entry = e.id) order by e.who""")
    List<String> people(@Param("rig") long rig);
}
