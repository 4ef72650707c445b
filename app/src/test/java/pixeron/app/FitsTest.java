package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.Labeled;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tab;
import javafx.scene.control.TabPane;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import org.junit.jupiter.api.Test;
import org.testfx.util.WaitForAsyncUtils;
import pixeron.app.theme.SharpCanvas;
import pixeron.project.demo.DemoCase;
import pixeron.project.demo.DemoCases;

/** Whatever case is open and whatever view is chosen: no word on the bench is cut off. */
class FitsTest extends WindowTest {

    /** Levels and their tables, fractions of many pixels, color: the others show the same tabs with shorter numbers. */
    private static final Set<String> HAVE_EVERYTHING = Set.of("levels-of-the-sort", "unevenly-lit-proof", "color-proof");

    private final Map<String, String> cut = new TreeMap<>();

    /** Takes down the words of labels and buttons that are shown shortened. */
    private void look(String where) {
        for (Labeled label : seen(Labeled.class)) {
            label.getChildrenUnmodifiable().stream().filter(Text.class::isInstance).map(Text.class::cast)
                    .filter(text -> text.getText().endsWith("...") && !label.getText().endsWith("...")).findFirst()
                    .ifPresent(text -> cut.putIfAbsent(label.getText() + " → " + text.getText(), where));
        }
    }

    /** Takes down what stands beyond the edges of the window: something is wider than it, and all is pushed aside. */
    private void lookBeyondTheEdges(String where) {
        double width = stage.getScene().getWidth();
        for (Labeled label : seen(Labeled.class)) {
            Bounds at = label.localToScene(label.getLayoutBounds());
            boolean isScrolled = Stream.iterate((Node) label, Objects::nonNull, Node::getParent).anyMatch(ScrollPane.class::isInstance);
            if (!isScrolled && (at.getMinX() < -1 || at.getMaxX() > width + 1)) {
                cut.putIfAbsent(label.getText() + " at " + at.getMinX(), where + ", beyond the edge");
            }
        }
    }

    /** On small windows and large ones, in either size of type, no name of a case is cut: before that there is one column. */
    @Test
    void namesOfCasesAreWhole() {
        for (boolean isLarge : new boolean[] {false, true}) {
            if (isLarge) {
                push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.L);
            }
            for (int[] size : new int[][] {{900, 640}, {1024, 700}, {1100, 760}, {1280, 800}}) {
                interact(() -> {
                    stage.setWidth(size[0]);
                    stage.setHeight(size[1]);
                });
                WaitForAsyncUtils.waitForFxEvents();
                interact(() -> window.layout());
                WaitForAsyncUtils.waitForFxEvents();
                look(size[0] + " × " + size[1]);
                cut.keySet().removeIf(words -> DemoCases.all().stream().map(DemoCase::title).noneMatch(words::startsWith));
                assertThat(cut).isEmpty();
                long columns = lookup(".card").queryAll().stream().map(card -> Math.round(card.localToScene(0, 0).getX())).distinct().count();
                assertThat(columns).as("%s, large %s", size[0], isLarge).isEqualTo(size[0] < 1000 || isLarge && size[0] < 1300 ? 1 : 2);
            }
        }
    }

    private void lookAtTabs(String where) {
        for (Node node : lookup(".tab-pane").queryAll()) {
            for (Tab tab : ((TabPane) node).getTabs()) {
                interact(() -> ((TabPane) node).getSelectionModel().select(tab));
                WaitForAsyncUtils.waitForFxEvents();
                look(where + ", " + tab.getText());
            }
        }
    }

    /** What Compare puts beside each other by itself, with a sentence above and up to four places. */
    private void lookAtPairs(String where) {
        for (String pairs : new String[] {"Stretch and equalize", "Ranks"}) {
            clickOn(pairs);
            WaitForAsyncUtils.waitForFxEvents();
            look(where + ", " + pairs);
            lookBeyondTheEdges(where + ", " + pairs);
        }
    }

    @Test
    void noWordIsCutOff() {
        look("opening view");
        for (DemoCase demo : DemoCases.all()) {
            if (bench().shown() != null) {
                push(KeyCode.SHORTCUT, KeyCode.W);
            }
            clickOn(demo.title());
            settle();
            if (HAVE_EVERYTHING.contains(demo.id())) {
                lookAtTabs(demo.title());
                push(KeyCode.SHIFT, KeyCode.F4);
                settle();
                look(demo.title() + ", histogram");
                lookBeyondTheEdges(demo.title() + ", histogram");
            }
            for (KeyCode view : new KeyCode[] {KeyCode.F4, KeyCode.F5, KeyCode.F6, KeyCode.F3}) {
                push(view);
                settle();
                look(demo.title() + ", " + view);
                lookBeyondTheEdges(demo.title() + ", " + view);
                if (view == KeyCode.F6 && HAVE_EVERYTHING.contains(demo.id())) {
                    lookAtPairs(demo.title());
                }
            }
        }
        // The last case has color, and with it the longest lines; now in large type.
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.L);
        settle();
        lookBeyondTheEdges("large type");
        assertThat(cut).isEmpty();
    }

    /** Practice, setting and class, in either size of type. */
    @Test
    void noWordOfExercisesIsCutOff() {
        clickOn("Three-bit sort");
        settle();
        for (String type : new String[] {"normal type", "large type"}) {
            push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.E);
            until(() -> shownText().contains("64 cells"));
            look("setting, " + type);
            lookBeyondTheEdges("setting, " + type);
            push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.M);
            WaitForAsyncUtils.waitForFxEvents();
            look("class, " + type);
            lookBeyondTheEdges("class, " + type);
            push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.P);
            until(() -> !lookup(".blank").queryAll().isEmpty());
            look("practice, " + type);
            lookBeyondTheEdges("practice, " + type);
            push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.L);
        }
        assertThat(cut).isEmpty();
    }

    /** Chosen in the menu. */
    private void chooseType(String percent) {
        MenuButton menu = lookup((MenuButton button) -> button.getText().equals("Menu")).query();
        interact(() -> all(menu.getItems()).filter(item -> percent.equals(item.getText())).findFirst().orElseThrow().fire());
        settle();
    }

    private static Stream<MenuItem> all(List<MenuItem> items) {
        return items.stream().flatMap(item -> item instanceof Menu menu ? all(menu.getItems()) : Stream.of(item));
    }

    /** Returns how high the words of a label are on the screen. */
    private double typeOf(String words) {
        Node text = lookup((Labeled label) -> words.equals(label.getText())).query().lookup(".text");
        return text.localToScene(text.getLayoutBounds()).getHeight();
    }

    /** Twice as large, all of it is there: nothing is shortened, and what the keyboard comes to is moved into sight. */
    @Test
    void typeOfAnySizeLosesNothing() {
        clickOn("Three-bit sort");
        settle();
        double normal = typeOf("Compare");
        for (int percent : new int[] {135, 150, 175, 200}) {
            chooseType(percent + " %");
            // Fonts come in sizes of whole and half pixels.
            assertThat(typeOf("Compare") / normal).as("%d %%", percent).isBetween(percent / 100.0 - 0.06, percent / 100.0 + 0.06);
            // What is drawn has as many pixels as the screen has there, else its numbers would be blurred.
            assertThat(lookup((Canvas canvas) -> canvas.getWidth() > 1).queryAllAs(Canvas.class)).isNotEmpty().allSatisfy(canvas ->
                    assertThat(canvas.getLocalToSceneTransform().getMxx()).isCloseTo(canvas instanceof SharpCanvas ? 1 : Math.max(1, percent / 135.0), within(0.01)));
            for (KeyCode view : new KeyCode[] {KeyCode.F4, KeyCode.F5, KeyCode.F6, KeyCode.F3}) {
                push(view);
                settle();
                look(percent + " %, " + view);
            }
        }
        assertThat(cut).isEmpty();
        Set<Node> reached = new HashSet<>();
        for (int n = 0; n < 40; n++) {
            push(KeyCode.TAB);
            WaitForAsyncUtils.waitForFxEvents();
            Node owner = stage.getScene().getFocusOwner();
            reached.add(owner);
            Bounds at = owner.localToScene(owner.getLayoutBounds());
            boolean isSmall = at.getWidth() < 600 && at.getHeight() < 400;
            assertThat(!isSmall || at.getMinX() >= 0 && at.getMinY() >= 0 && at.getMaxX() <= stage.getScene().getWidth() && at.getMaxY() <= stage.getScene().getHeight())
                    .as("%s at %s", owner, at).isTrue();
        }
        assertThat(reached).hasSizeGreaterThan(15);
        chooseType("100 %");
        assertThat(typeOf("Compare")).isEqualTo(normal);
        assertThat(lookup(".magnifier").queryAll()).isEmpty();
    }

    /** The bench has images: what takes a color image whole would only fail there. */
    @Test
    void stepsForColorAreNotOffered() {
        clickOn("Three-bit sort");
        settle();
        clickOn("+  Add a step");
        write("thresh");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(shownText()).contains("Sets levels above a threshold to high, the others to low");
        eraseText(6);
        write("gray");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(shownText()).doesNotContain("Calculates one gray value");
    }
}
