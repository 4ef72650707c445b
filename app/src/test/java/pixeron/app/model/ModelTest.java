package pixeron.app.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pixeron.app.folder.Autosave;
import pixeron.app.folder.Settings;
import pixeron.app.folder.UserFolder;
import pixeron.app.folder.WindowPlace;
import pixeron.project.ProjectFile;
import pixeron.project.SavedProject;
import pixeron.project.demo.DemoCases;

class ModelTest {

    @TempDir
    private Path folder;

    @Test
    void historyGoesBackAndForthAndMergesWhatBelongsTogether() {
        History<String> history = new History<>("a");
        assertThat(history.add("a", null)).isFalse();
        history.add("b", null);
        history.add("c1", "gain");
        history.add("c2", "gain");
        history.add("d", "bias");
        assertThat(history.present()).isEqualTo("d");
        history.undo();
        assertThat(history.present()).isEqualTo("c2");
        history.undo();
        assertThat(history.present()).isEqualTo("b");
        history.redo();
        assertThat(history.present()).isEqualTo("c2");
        history.add("e", "gain");
        assertThat(history.canRedo()).isFalse();
        history.undo();
        assertThat(history.present()).as("not merged across an undo").isEqualTo("c2");
        history.undo();
        history.undo();
        history.undo();
        assertThat(history.present()).isEqualTo("a");
        assertThat(history.canUndo()).isFalse();
    }

    @Test
    void theSavedMarkFollowsTheState() {
        History<String> history = new History<>("a");
        assertThat(history.isSaved()).isTrue();
        history.add("b", null);
        assertThat(history.isSaved()).isFalse();
        history.markSaved();
        history.add("c", null);
        history.undo();
        assertThat(history.isSaved()).isTrue();
        history.markUnsaved();
        assertThat(history.isSaved()).isFalse();
    }

    @Test
    void mergingEndsWhereItIsSaved() {
        History<String> history = new History<>("a");
        history.add("b1", "gain");
        history.markSaved();
        history.add("b2", "gain");
        history.undo();
        assertThat(history.present()).isEqualTo("b1");
        history.redo();
        history.endMerge();
        history.add("b3", "gain");
        history.undo();
        assertThat(history.present()).isEqualTo("b2");
    }

    @Test
    void workIsKeptAndFoundWhenItsProcessIsGone() throws Exception {
        UserFolder user = new UserFolder(folder.resolve("data"));
        Autosave autosave = new Autosave(user, Duration.ZERO);
        SavedProject work = DemoCases.all().get(0).saved();
        autosave.keep(work);
        Path kept = only(folder.resolve("data/autosave"));
        assertThat(autosave.leftBehind()).as("this process is alive").isEmpty();
        Path orphan = kept.resolveSibling("999999999-1" + ProjectFile.ENDING);
        Files.copy(kept, orphan);
        Path sameNumber = kept.resolveSibling(ProcessHandle.current().pid() + "-1" + ProjectFile.ENDING);
        Files.copy(kept, sameNumber);
        assertThat(autosave.leftBehind()).containsExactlyInAnyOrder(orphan, sameNumber);
        assertThat(ProjectFile.read(orphan)).isEqualTo(work);
        autosave.discard(orphan);
        autosave.discard(sameNumber);
        autosave.clearNow();
        assertThat(kept).doesNotExist();
    }

    private static Path only(Path of) throws IOException, InterruptedException {
        for (int n = 0; n < 30_000; n++) {
            if (Files.isDirectory(of)) {
                try (var files = Files.list(of)) {
                    var whole = files.filter(file -> !file.getFileName().toString().startsWith(".")).findFirst();
                    if (whole.isPresent()) {
                        return whole.get();
                    }
                }
            }
            Thread.sleep(10);
        }
        throw new AssertionError("nothing was saved");
    }

    /** Large type was kept as yes or no before there were several sizes; what nobody can have chosen is forgotten. */
    @Test
    void sizesOfTypeComeBack() throws IOException {
        UserFolder user = new UserFolder(folder);
        for (int percent : Settings.TYPES) {
            Settings.DEFAULT.withType(percent).write(user);
            assertThat(Settings.read(user).type()).isEqualTo(percent);
        }
        Files.writeString(folder.resolve("settings.properties"), "large=true");
        assertThat(Settings.read(user).type()).isEqualTo(135);
        Files.writeString(folder.resolve("settings.properties"), "large=false");
        assertThat(Settings.read(user).type()).isEqualTo(100);
        for (String nonsense : new String[] {"type=136", "type=", "type=very", "type=-100"}) {
            Files.writeString(folder.resolve("settings.properties"), nonsense);
            assertThat(Settings.read(user).type()).as(nonsense).isEqualTo(100);
        }
    }

    @Test
    void settingsComeBackAndDamagedOnesAreForgotten() throws IOException {
        UserFolder user = new UserFolder(folder);
        assertThat(Settings.read(user)).isEqualTo(Settings.DEFAULT);
        Path file = Files.writeString(folder.resolve("prüf=ung.pgm"), "P2 1 1 1 0");
        Settings settings = Settings.DEFAULT.withDark(true).withRecent(folder.resolve("gone.pgm")).withRecent(file)
                .withRecent(file);
        settings.write(user);
        assertThat(Settings.read(user)).satisfies(again -> {
            assertThat(again.isDark()).isTrue();
            assertThat(again.isStill()).isFalse();
            assertThat(again.type()).isEqualTo(100);
            assertThat(again.recent()).containsExactly(file);
        });
        WindowPlace place = new WindowPlace(-20, 40, 1000, 700, true);
        settings = settings.withStill(true).withGuided().withPlace(place);
        settings.write(user);
        assertThat(Settings.read(user)).isNotEqualTo(Settings.DEFAULT).matches(Settings::isStill).matches(Settings::isGuided)
                .extracting(Settings::place).isEqualTo(java.util.Optional.of(place));
        for (int n = 0; n < 20; n++) {
            settings = settings.withRecent(Path.of("file" + n));
        }
        assertThat(settings.recent()).hasSize(10).first().asString().endsWith("file19");
        Files.writeString(folder.resolve("settings.properties"), "recent.0=\\u00zz");
        assertThat(Settings.read(user)).isEqualTo(Settings.DEFAULT);
    }

    @Test
    void theUserFolderCanBeNamed() {
        assertThat(UserFolder.of(Map.of("PIXERON_DATA", folder.toString())).path("a/b").getParent()).isDirectory()
                .isEqualTo(folder.resolve("a"));
    }
}
