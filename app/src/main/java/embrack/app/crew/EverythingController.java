package embrack.app.crew;

import embrack.app.store.ModelStore;
import embrack.app.store.NoSuchRig;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.UnreadableRevision;
import embrack.app.store.crew.Belongings;
import embrack.app.store.crew.CrewId;
import embrack.app.store.crew.Crews;
import embrack.app.store.crew.Member;
import embrack.core.gear.Model;
import embrack.core.plan.Plan;
import embrack.files.model.ModelFile;
import embrack.files.plan.PlanFile;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** A crew takes everything along that it has. */
@Controller
class EverythingController {

    private final Belongings belongings;
    private final Crews crews;
    private final RigStore rigs;
    private final ModelStore models;

    EverythingController(Belongings belongings, Crews crews, RigStore rigs, ModelStore models) {
        this.belongings = belongings;
        this.crews = crews;
        this.rigs = rigs;
        this.models = models;
    }

    /**
     * One archive: of each rig the plan as a file that can be brought in again, and all rows that are kept of it; the
     * models of the crew; who belongs to it.
     */
    @GetMapping("/crews/{crew}/everything.zip")
    ResponseEntity<StreamingResponseBody> everything(@PathVariable CrewId crew) {
        String name = slug(crews.name(crew));
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("%s.zip".formatted(name.isEmpty() ? "crew" : name))
                                .build()
                                .toString())
                .header(HttpHeaders.CONTENT_TYPE, "application/zip")
                .body(out -> write(crew, out));
    }

    private void write(CrewId crew, OutputStream out) throws IOException {
        try (var zip = new ZipOutputStream(out)) {
            put(
                    zip,
                    "people.txt",
                    crews.members(crew).stream().map(EverythingController::line).collect(Collectors.joining()));
            for (Model model : models.own(crew)) {
                put(zip, "models/%s.model.json".formatted(model.id().text()), ModelFile.write(model));
            }
            put(zip, "models/revisions.jsonl", belongings.models(crew));
            for (RigId rig : belongings.rigs(crew)) {
                Optional<Plan> plan = plan(rig);
                String folder = "rigs/%s%s"
                        .formatted(
                                rig,
                                plan.map(one -> "-" + slug(one.rig().name().text()))
                                        .orElse("-deleted"));
                if (plan.isPresent()) {
                    put(zip, folder + "/plan.json", PlanFile.write(plan.get()));
                }
                for (Map.Entry<String, String> table : belongings.rows(rig).entrySet()) {
                    put(zip, "%s/%s.jsonl".formatted(folder, table.getKey()), table.getValue());
                }
            }
        }
    }

    private static String line(Member member) {
        return "%s, %s\n".formatted(member.name(), member.role().key());
    }

    private Optional<Plan> plan(RigId rig) {
        try {
            return Optional.of(rigs.load(rig).plan());
        } catch (NoSuchRig | UnreadableRevision e) {
            return Optional.empty();
        }
    }

    private static String slug(String name) {
        return name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-+|-+$", "");
    }

    private static void put(ZipOutputStream zip, String name, String text) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(text.getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
    }
}
