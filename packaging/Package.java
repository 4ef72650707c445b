import java.io.IOException;
import java.io.PrintWriter;
import java.io.UncheckedIOException;
import java.nio.file.FileSystem;
import java.nio.file.FileSystems;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.BasicFileAttributes;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.spi.ToolProvider;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Makes of a build what runs without a JDK: a folder with the program and the parts of Java that it uses, and, where the system has
 * the tools for it, an installer. Usage, after {@code mvn package}: {@code java packaging/Package.java [FOLDER]}.
 *
 * <p>The libraries of JavaFX that Maven fetched belong to the system on which this runs, so each system makes its own.
 */
final class Package {

    private static final String VERSION = "0.1.0";
    private static final String NAME = "Pixeron";
    private static final List<String> MODULES = List.of("java.base", "java.desktop", "java.logging", "java.naming", "java.sql", "java.xml",
            "jdk.unsupported", "javafx.controls");
    /** As in the launcher of the build: little work often, not much at once. */
    private static final List<String> OPTIONS = List.of("-XX:+UseSerialGC", "-XX:Tier4InvocationThreshold=50000", "-XX:Tier4MinInvocationThreshold=6000",
            "-XX:Tier4CompileThreshold=150000", "-XX:Tier4BackEdgeThreshold=400000", "-Xlog:disable");
    private static final String SYSTEM = System.getProperty("os.name").toLowerCase(Locale.ROOT);
    private static final boolean IS_WINDOWS = SYSTEM.contains("win");
    private static final boolean IS_MAC = SYSTEM.contains("mac");

    private final Path built;
    private final Path out;
    private final Path work;

    private Package(Path here, Path out) {
        this.built = here.resolve("app/target");
        this.out = out;
        this.work = built.resolve("package-work");
    }

    public static void main(String... words) {
        Path here = Path.of(System.getProperty("pixeron.home", ".")).toAbsolutePath().normalize();
        Path out = Path.of(words.length > 0 ? words[0] : here.resolve("app/target/package").toString()).toAbsolutePath();
        try {
            new Package(here, out).make(here.resolve("packaging"));
        } catch (IOException | IllegalStateException | UncheckedIOException trouble) {
            System.err.println("pixeron package: " + trouble.getMessage());
            System.exit(1);
        }
    }

    private void make(Path packaging) throws IOException {
        delete(work);
        delete(image());
        Files.createDirectories(out);
        Path libraries = Files.createDirectories(work.resolve("lib"));
        Path modules = Files.createDirectories(work.resolve("modules"));
        for (Path jar : jars()) {
            String name = jar.getFileName().toString();
            if (!name.startsWith("javafx-")) {
                Files.copy(jar, libraries.resolve(name));
            } else if (name.matches("javafx-\\w+-[\\d.]+-.+\\.jar")) {
                module(jar, modules);
            }
        }
        Path runtime = work.resolve("runtime");
        say("the parts of Java that are used");
        run("jlink", "--module-path", modules.toString(), "--add-modules", String.join(",", MODULES), "--strip-debug", "--no-header-files", "--no-man-pages",
                "--compress=1", "--output", runtime.toString());
        archive(runtime, libraries);
        say("the program");
        List<String> words = new ArrayList<>(List.of("--type", "app-image", "--name", NAME, "--app-version", usable(VERSION),
                "--dest", out.toString(), "--input", libraries.toString(), "--main-jar", "pixeron-app-" + VERSION + ".jar", "--main-class", "pixeron.app.Main",
                "--runtime-image", runtime.toString(), "--icon", icon(packaging).toString()));
        Stream.concat(OPTIONS.stream(), Stream.of("-XX:SharedArchiveFile=$APPDIR/classes.jsa", "-Xshare:auto", "--add-modules=javafx.controls"))
                .forEach(option -> words.addAll(List.of("--java-options", option)));
        run("jpackage", words.toArray(String[]::new));
        rehearse();
        say("the list of what is in it");
        bill(packaging.resolveSibling("core/src/main/resources/pixeron/fonts"));
        System.out.println(image() + ": " + (size(image()) >> 20) + " MiB");
        installer(packaging);
        delete(work);
    }

    /** Some systems take no version that begins with 0. */
    private static String usable(String version) {
        return IS_MAC ? "1" + version.substring(1) : version;
    }

    private List<Path> jars() throws IOException {
        Path jar = built.resolve("pixeron-app-" + VERSION + ".jar");
        if (!Files.exists(jar) || !Files.isDirectory(built.resolve("lib"))) {
            throw new IllegalStateException("there is no build; run \"mvn -DskipTests package\" first.");
        }
        try (Stream<Path> libraries = Files.list(built.resolve("lib"))) {
            return Stream.concat(Stream.of(jar), libraries.sorted()).toList();
        }
    }

    /** Takes a library of JavaFX apart into classes and parts of the system, so that these need not be unpacked at every person's first start. */
    private void module(Path jar, Path modules) throws IOException {
        String name = jar.getFileName().toString().replaceFirst("-\\d.*", "").replace('-', '.');
        Path classes = work.resolve(name);
        Path parts = Files.createDirectories(work.resolve(name + "-parts"));
        try (FileSystem in = FileSystems.newFileSystem(jar, Map.of())) {
            Path root = in.getPath("/");
            Files.walkFileTree(root, new SimpleFileVisitor<>() {
                @Override
                public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) throws IOException {
                    boolean isPart = file.toString().matches(".*\\.(so|dll|dylib)");
                    Path to = isPart ? parts.resolve(file.getFileName().toString()) : classes.resolve(root.relativize(file).toString());
                    Files.createDirectories(to.getParent());
                    Files.copy(file, to, StandardCopyOption.REPLACE_EXISTING);
                    return FileVisitResult.CONTINUE;
                }
            });
        }
        run("jmod", "create", "--class-path", classes.toString(), "--libs", parts.toString(), modules.resolve(name + ".jmod").toString());
    }

    /**
     * The archive of the classes of Java and JavaFX, which lies in the runtime and stays right wherever the folder is put: a start
     * writes down which classes it needs, and these are archived.
     */
    private void archive(Path runtime, Path libraries) throws IOException {
        Path list = work.resolve("classes.list");
        String java = runtime.resolve("bin/java").toString();
        if (isDisplayed()) {
            say("what a start needs");
            start(firstStart(java, list, libraries));
        }
        List<String> words = new ArrayList<>(List.of(java, "-Xshare:dump"));
        if (Files.exists(list)) {
            // Classes of the program lie in its libraries, which this archive knows nothing of.
            List<String> ofJava = Files.readAllLines(list).stream().filter(line -> line.matches("(java|javax|javafx|sun|com/sun|jdk)/.*")).toList();
            Files.write(list, ofJava);
            words.add("-XX:SharedClassListFile=" + list);
        }
        start(words);
    }

    /** @return the command for a start that nobody sees, which writes into a list what classes it loads */
    private static List<String> firstStart(String java, Path list, Path libraries) {
        List<String> words = new ArrayList<>(List.of(java, "-Xshare:off", "-XX:DumpLoadedClassList=" + list, "-XX:+SuppressFatalErrorMessage"));
        words.addAll(OPTIONS);
        words.addAll(List.of("-Dpixeron.rehearsal=true", "--add-modules", "javafx.controls", "-cp", classPath(libraries), "pixeron.app.Main"));
        return words;
    }

    private static String classPath(Path libraries) {
        try (Stream<Path> jars = Files.list(libraries)) {
            return jars.filter(jar -> jar.toString().endsWith(".jar")).sorted().map(Path::toString).collect(Collectors.joining(System.getProperty("path.separator")));
        } catch (IOException trouble) {
            throw new UncheckedIOException(trouble);
        }
    }

    private static boolean isDisplayed() {
        return IS_WINDOWS || IS_MAC || System.getenv("DISPLAY") != null || System.getenv("WAYLAND_DISPLAY") != null;
    }

    /** The program itself writes its archive once, on top of that of Java; where it is moved afterwards, that of Java remains. */
    private void rehearse() throws IOException {
        Path configuration = content().resolve(NAME + ".cfg");
        if (isDisplayed()) {
            say("a first start, which nobody sees");
            String asItIs = Files.readString(configuration);
            Files.writeString(configuration, asItIs.replace("-XX:SharedArchiveFile=", "-XX:ArchiveClassesAtExit=") + "java-options=-Dpixeron.rehearsal=true\n");
            start(List.of(launcher().toString()));
            Files.writeString(configuration, asItIs);
        }
    }

    /** The list that the build makes of its libraries (CycloneDX), with the fonts and the parts of Java added. */
    private void bill(Path fonts) throws IOException {
        Path list = built.resolve("bom.json");
        if (!Files.exists(list)) {
            throw new IllegalStateException("the build has made no " + list + "; run \"mvn -DskipTests package\" again.");
        }
        String libraries = Files.readString(list);
        String first = "\n  \"components\" : [";
        if (!libraries.contains(first)) {
            throw new IllegalStateException(list + " has no list of components.");
        }
        StringBuilder others = new StringBuilder(first);
        try (Stream<Path> files = Files.list(fonts)) {
            for (Path font : files.filter(file -> file.toString().endsWith(".ttf")).sorted().toList()) {
                String name = font.getFileName().toString();
                others.append(component("file", name, "", "OFL-1.1", ", \"hashes\" : [ { \"alg\" : \"SHA-256\", \"content\" : \"" + sha256(font) + "\" } ]"));
            }
        }
        for (String module : MODULES) {
            if (!module.startsWith("javafx")) {
                others.append(component("library", module, Runtime.version().toString(), "GPL-2.0-with-classpath-exception", ""));
            }
        }
        String whole = libraries.replace(first, others);
        Files.writeString(content().resolve("bom.json"), whole);
        Files.writeString(out.resolve("bom.json"), whole);
    }

    private static String component(String type, String name, String version, String license, String more) {
        return "\n    { \"type\" : \"" + type + "\", \"name\" : \"" + name + "\"" + (version.isEmpty() ? "" : ", \"version\" : \"" + version + "\"")
                + ", \"licenses\" : [ { \"license\" : { \"id\" : \"" + license + "\" } } ]" + more + " },";
    }

    private static String sha256(Path file) throws IOException {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(Files.readAllBytes(file)));
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private void installer(Path packaging) throws IOException {
        String type = IS_WINDOWS ? "msi" : IS_MAC ? "dmg" : "deb";
        if (!IS_WINDOWS && !IS_MAC && (!isThere("dpkg-deb") || !isThere("fakeroot"))) {
            say("no installer: dpkg-deb and fakeroot are needed for one");
            return;
        }
        say("the installer");
        List<String> words = new ArrayList<>(List.of("--type", type, "--name", NAME, "--app-version", usable(VERSION), "--dest", out.toString(), "--app-image",
                image().toString(), "--license-file",
                packaging.resolveSibling("LICENSE").toString(), "--description", "Image arithmetic by hand: every number with its working"));
        for (Path kind : associations(packaging)) {
            words.addAll(List.of("--file-associations", kind.toString()));
        }
        if (IS_WINDOWS) {
            words.addAll(List.of("--win-menu", "--win-per-user-install"));
        } else if (!IS_MAC) {
            words.addAll(List.of("--linux-shortcut", "--linux-menu-group", "Education;Graphics;", "--linux-package-name", "pixeron"));
        }
        run("jpackage", words.toArray(String[]::new));
        try (Stream<Path> made = Files.list(out)) {
            made.filter(file -> file.toString().endsWith("." + type)).forEach(file -> System.out.println(file + ": " + (file.toFile().length() >> 20) + " MiB"));
        }
    }

    /** Projects and exercises. Only the last point of a name counts elsewhere, where one ending means both; on Linux the whole ending can be told. */
    private List<Path> associations(Path packaging) throws IOException {
        return IS_WINDOWS || IS_MAC ? List.of(association(packaging, "project", "json")) : List.of(association(packaging, "project", "pixeron.json"),
                association(packaging, "exercise", "pixeron-exercise.json"));
    }

    private Path association(Path packaging, String kind, String ending) throws IOException {
        return Files.write(work.resolve(kind + ".properties"), List.of("extension=" + ending, "mime-type=application/x-pixeron-" + kind,
                "description=Pixeron " + kind, "icon=" + icon(packaging).toString().replace("\\", "\\\\")));
    }

    private Path icon(Path packaging) throws IOException {
        Path icons = work.resolve("icons");
        if (!Files.exists(icons)) {
            start(List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString(), packaging.resolve("Icon.java").toString(), icons.toString()));
        }
        return icons.resolve("pixeron." + (IS_WINDOWS ? "ico" : IS_MAC ? "icns" : "png"));
    }

    private Path image() {
        return out.resolve(IS_MAC ? NAME + ".app" : NAME);
    }

    private Path launcher() {
        return image().resolve(IS_WINDOWS ? NAME + ".exe" : IS_MAC ? "Contents/MacOS/" + NAME : "bin/" + NAME);
    }

    /** Where the libraries of the program lie in the image. */
    private Path content() {
        return image().resolve(IS_WINDOWS ? "app" : IS_MAC ? "Contents/app" : "lib/app");
    }

    private static boolean isThere(String command) {
        return Stream.of(System.getenv("PATH").split(":")).anyMatch(folder -> Files.isExecutable(Path.of(folder, command)));
    }

    private static void say(String what) {
        System.err.println("Making " + what);
    }

    private static void run(String tool, String... words) {
        int answer = ToolProvider.findFirst(tool).orElseThrow(() -> new IllegalStateException("this Java has no " + tool + "; a whole JDK 17 or newer is needed."))
                .run(new PrintWriter(System.err, true), new PrintWriter(System.err, true), words);
        if (answer != 0) {
            throw new IllegalStateException(tool + " ended with " + answer + ".");
        }
    }

    private void start(List<String> words) throws IOException {
        Process process = new ProcessBuilder(words).redirectErrorStream(true).redirectOutput(work.resolve("start.log").toFile()).start();
        try {
            if (!process.waitFor(3, TimeUnit.MINUTES)) {
                process.destroyForcibly();
                throw new IllegalStateException(words.get(0) + " did not end.");
            }
        } catch (InterruptedException stopped) {
            throw new IllegalStateException("stopped", stopped);
        }
    }

    private static long size(Path folder) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            return files.filter(Files::isRegularFile).mapToLong(file -> file.toFile().length()).sum();
        }
    }

    private static void delete(Path folder) throws IOException {
        if (Files.exists(folder)) {
            Files.walkFileTree(folder, new SimpleFileVisitor<>() {
                @Override
                public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) throws IOException {
                    Files.delete(file);
                    return FileVisitResult.CONTINUE;
                }

                @Override
                public FileVisitResult postVisitDirectory(Path at, IOException trouble) throws IOException {
                    Files.delete(at);
                    return FileVisitResult.CONTINUE;
                }
            });
        }
    }
}
