package embrack.core.second;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import javax.tools.FileObject;
import javax.tools.ForwardingJavaFileManager;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileManager;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;
import javax.tools.ToolProvider;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The engine with one mistake planted in it loses against the second player, so that the duel is worth something. */
class PlantedMistakesTests {

    private static final Path ENGINE = Path.of("src/main/java/embrack/core/world");

    private static final Path PROOF = Path.of("src/main/java/embrack/core/proof");

    /** Each mistake shows within so many rigs. */
    private static final int RIGS = 600;

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(delimiter = '~', quoteCharacter = '`', textBlock = """
            Flow ~ MOST_COPIES = 2 ~ MOST_COPIES = 1
            Flow ~ || fate == Fate.LOST ~ || fate == null && fates == null
            Flow ~ if (fate == Fate.DOUBLED) ~ if (fate == Fate.LOST)
            Flow ~ fate == Fate.LATE ? ~ fate == Fate.LOST ?
            Flow ~ if (!faultless && !faults.isPassed(piece)) ~ if (faultless && !faults.isPassed(piece))
            Flow ~ Math.max(time, busyUntil(piece.port())) ~ time
            Flow ~ Math.max(startMicros, busyUntil(port)) ~ startMicros
            Flow ~ f.atMicros() - micros ~ f.atMicros()
            Hearing ~ return world.ears().isDeaf(device, atMicros) ~ return atMicros < 0 && world != null
            Hearing ~ || written.contains(loaded) ~ || written.contains(loaded - 1)
            Hearing ~ voice.channel().equals(listensOn.get()) ~ voice.channel().number() > 0
            Receivers ~ if (read instanceof Reading.Deaf) ~ if (read instanceof Reading.NotWritten)
            Receivers ~ hearing.loadingMicros() > 0 ~ hearing.loadingMicros() < 0
            Receivers ~ state.ears().heardBy(device) ~ Ears.NONE.heardBy(device)
            Places ~ if (values[number] != 0 || verb == Verb.STOP_ALL) ~ if (verb == Verb.STOP_ALL)
            World ~ if (values[device][memories[i]] != 0) ~ if (values[device][memories[i]] == 0)
            Places ~ .filter(group -> group.contains(part)) ~ .filter(group -> group.isEmpty())
            Places ~ int[] values = atStart(device); ~ int[] values = new int[of(device).size()];
            Places ~ if (kept.contains( ~ if (!kept.contains(
            Outage ~ .with(after.ears().forgetting(dead)) ~ .with(after.ears())
            Outage ~ seconds > 0 ~ seconds < 0
            Outage ~ links.remove(back.link()) ~ links.add(back.link())
            Engine ~ !world.isDark(box) && ~ (world != null || !world.isDark(box)) &&
            Ears ~ until - micros ~ until
            """)
    void aMistakeInTheEngineShows(String file, String right, String wrong) throws Exception {
        Method duel = mistaken(ENGINE, file + ".java", right, wrong)
                .loadClass(Duel.class.getName())
                .getMethod("difference", int.class);
        for (int seed = 0; seed < RIGS; seed++) {
            if (isLost(duel, seed)) {
                return;
            }
        }
        assertThat(wrong).as("a mistake that shows").isNull();
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(delimiter = '~', quoteCharacter = '`', textBlock = """
            Cone ~ if (!variables.get(guard.variable())) ~ if (guard.value() > 9)
            Gestures ~ new Effect.Write(side, 1 - turned) ~ new Effect.Write(side, turned)
            Gestures ~ new Effect.Write(down, 1) ~ new Effect.Write(down, 0)
            Hear ~ state[deaf] > atMicros ~ state[deaf] > atMicros + 9_999_999
            Live ~ : effects.reversed()) ~ : effects)
            Look ~ if (!shown) { ~ if (shown) {
            Look ~ isMeant && right ? Optional.empty() : failure ~ isMeant ? Optional.empty() : failure
            Look ~ boolean counts = isMeant || hit; ~ boolean counts = isMeant;
            Machine ~ variables.start(variable) != 0 ~ variables.start(variable) > 9
            Machine ~ raised::set ~ raised::clear
            States ~ other.isPresent() && right.get( ~ other.isPresent() && !right.get(
            Transition ~ done.leaves(variable) == wanted.leaves(variable) ~ done.absolute()
            """)
    void aMistakeInTheProofShows(String file, String right, @Nullable String wrong) throws Exception {
        ClassLoader mistaken = mistaken(PROOF, file + ".java", right, Objects.requireNonNullElse(wrong, ""));
        Method duel = mistaken.loadClass(StatesDuel.class.getName()).getMethod("of", int.class);
        Method difference =
                mistaken.loadClass(StatesDuel.Result.class.getName()).getMethod("difference");
        for (int seed = 0; seed < RIGS; seed++) {
            try {
                if (((Optional<?>) difference.invoke(duel.invoke(null, seed))).isPresent()) {
                    return;
                }
            } catch (InvocationTargetException e) {
                return;
            }
        }
        assertThat(wrong).as("a mistake that shows").isNull();
    }

    /** Lost is a difference, and an engine that gives up as well. */
    private static boolean isLost(Method duel, int seed) throws IllegalAccessException {
        try {
            return ((Optional<?>) Objects.requireNonNull(duel.invoke(null, seed))).isPresent();
        } catch (InvocationTargetException e) {
            return true;
        }
    }

    /** The classes of the engine with a mistake, and of the duel, before those of everything else. */
    private static ClassLoader mistaken(Path sourcesOf, String file, String right, String wrong) throws IOException {
        Map<String, ByteArrayOutputStream> compiled = new HashMap<>();
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        JavaFileManager files =
                new ForwardingJavaFileManager<JavaFileManager>(compiler.getStandardFileManager(null, null, null)) {
                    @Override
                    public JavaFileObject getJavaFileForOutput(
                            Location location, String name, JavaFileObject.Kind kind, FileObject sibling) {
                        return new SimpleJavaFileObject(URI.create("mem:///" + name), kind) {
                            @Override
                            public OutputStream openOutputStream() {
                                return compiled.computeIfAbsent(name, n -> new ByteArrayOutputStream());
                            }
                        };
                    }
                };
        List<JavaFileObject> sources;
        try (Stream<Path> each = Files.list(sourcesOf)) {
            sources = each.map(path -> source(path, file, right, wrong)).toList();
        }
        List<String> options = List.of("-proc:none", "-nowarn", "-cp", System.getProperty("java.class.path"));
        assertThat(compiler.getTask(null, files, diagnostic -> {}, options, null, sources)
                        .call())
                .as("it compiles")
                .isTrue();
        return new ClassLoader(Duel.class.getClassLoader()) {
            @Override
            protected Class<?> loadClass(String name, boolean resolve) throws ClassNotFoundException {
                synchronized (getClassLoadingLock(name)) {
                    boolean own = compiled.containsKey(name) || name.startsWith("embrack.core.second.");
                    Class<?> known = own ? findLoadedClass(name) : super.loadClass(name, resolve);
                    return known != null ? known : findClass(name);
                }
            }

            @Override
            protected Class<?> findClass(String name) throws ClassNotFoundException {
                byte[] bytes = compiled.containsKey(name)
                        ? Objects.requireNonNull(compiled.get(name)).toByteArray()
                        : bytes(name);
                return defineClass(name, bytes, 0, bytes.length);
            }
        };
    }

    private static byte[] bytes(String name) throws ClassNotFoundException {
        String path = "/" + name.replace('.', '/') + ".class";
        try (InputStream in = PlantedMistakesTests.class.getResourceAsStream(path)) {
            return Objects.requireNonNull(in, name).readAllBytes();
        } catch (IOException e) {
            throw new ClassNotFoundException(name, e);
        }
    }

    private static JavaFileObject source(Path path, String file, String right, String wrong) {
        return new SimpleJavaFileObject(path.toUri(), JavaFileObject.Kind.SOURCE) {
            @Override
            public CharSequence getCharContent(boolean ignored) throws IOException {
                String text = Files.readString(path);
                if (!path.endsWith(file)) {
                    return text;
                }
                assertThat(text).contains(right);
                return text.replace(right, wrong);
            }
        };
    }
}
