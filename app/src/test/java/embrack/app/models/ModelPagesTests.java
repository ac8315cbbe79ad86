package embrack.app.models;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.AppTest;
import embrack.core.gear.Model;
import embrack.core.gear.library.Library;
import embrack.files.model.ModelFile;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.FieldSource;
import org.springframework.boot.test.web.server.LocalServerPort;

@AppTest
class ModelPagesTests {

    @SuppressWarnings("unused")
    private static final List<Model> SHIPPED = Library.all();

    private final HttpClient client = HttpClient.newHttpClient();

    @LocalServerPort
    private int port;

    @ParameterizedTest
    @FieldSource("SHIPPED")
    void everyShippedModelOpensPrintsAndHasADrawing(Model model) throws IOException, InterruptedException {
        String at = "/models/" + model.id();
        assertThat(get(at))
                .contains(
                        "class=\"box-drawing\"",
                        "viewBox=\"0 0 620",
                        ">%s<".formatted(model.name().text()));
        assertThat(get(at + "/print")).contains("class=\"box-drawing\"", "chart-sheet");
        assertThat(get(at + "/model.json")).contains("\"embrack-model\"");
        assertThat(get(at + "/chart.csv")).startsWith("verb,part,family");
        ModelDrawing drawing = ModelDrawing.of(model.sockets(), model.surface(), model.parts());
        assertThat(drawing.shapes())
                .hasSizeGreaterThan(1 + model.sockets().ports().size())
                .allMatch(
                        shape -> shape.x() >= 0
                                && shape.x() + (shape.form().equals("rect") ? shape.width() : 0) <= drawing.width()
                                && shape.y() <= drawing.height(),
                        "inside the paper");
    }

    @Test
    void schemasAreServedAsTheyArePublished() throws IOException, InterruptedException {
        assertThat(get(ModelFile.SCHEMA)).isEqualTo(Files.readString(Path.of("../docs" + ModelFile.SCHEMA)));
        HttpResponse<String> missing = client.send(
                HttpRequest.newBuilder(uri("/models/no-such-model")).build(), HttpResponse.BodyHandlers.ofString());
        assertThat(missing.statusCode()).isEqualTo(404);
        assertThat(missing.body()).contains("There is no such model");
    }

    private String get(String path) throws IOException, InterruptedException {
        HttpResponse<String> response =
                client.send(HttpRequest.newBuilder(uri(path)).build(), HttpResponse.BodyHandlers.ofString());
        assertThat(response.statusCode()).as(path).isEqualTo(200);
        return response.body();
    }

    private URI uri(String path) {
        return URI.create("http://127.0.0.1:" + port + path);
    }
}
