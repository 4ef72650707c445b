package pixeron.app.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import org.junit.jupiter.api.Test;
import pixeron.PixeronException;

/** Long work with executors of the test's own: it says when which piece runs. */
class BackgroundTest {

    private final Deque<Runnable> waiting = new ArrayDeque<>();
    private final List<String> seen = new ArrayList<>();
    private final Background background = new Background(waiting::add, Runnable::run);

    private void runNext() {
        waiting.remove().run();
    }

    private void start(String name) {
        background.start(progress -> {
            progress.report(0.5);
            return name;
        }, seen::add, problem -> seen.add("failed: " + problem));
    }

    @Test
    void aResultIsShownAndTheProgressGoesBack() {
        start("one");
        assertThat(background.progressProperty().get()).isZero();
        runNext();
        assertThat(seen).containsExactly("one");
        assertThat(background.progressProperty().get()).isEqualTo(Background.IDLE);
    }

    @Test
    void whatIsSupersededIsNeverShown() {
        start("old");
        start("new");
        runNext();
        assertThat(seen).isEmpty();
        runNext();
        assertThat(seen).containsExactly("new");
    }

    @Test
    void whatIsSupersededWhileItRunsEndsAtItsNextReport() {
        background.start(progress -> {
            start("new");
            progress.report(0.1);
            seen.add("went on");
            return "old";
        }, seen::add, problem -> seen.add("failed"));
        runNext();
        runNext();
        assertThat(seen).containsExactly("new");
    }

    /** A window that is busy comes to the newest report alone, whoever made the one before. */
    @Test
    void manyReportsAreOneForABusyWindow() {
        Deque<Runnable> window = new ArrayDeque<>();
        Background busy = new Background(waiting::add, window::add);
        busy.start(progress -> {
            progress.report(0.1);
            busy.start(newer -> {
                newer.report(0.3);
                newer.report(0.7);
                return "new";
            }, seen::add, problem -> seen.add("failed"));
            return "old";
        }, seen::add, problem -> seen.add("failed"));
        runNext();
        runNext();
        assertThat(window).hasSize(3);
        window.remove().run();
        assertThat(busy.progressProperty().get()).isEqualTo(0.7);
        window.forEach(Runnable::run);
        assertThat(seen).containsExactly("new");
    }

    @Test
    void whatIsCancelledIsNotShown() {
        start("one");
        background.cancel();
        runNext();
        assertThat(seen).isEmpty();
        assertThat(background.progressProperty().get()).isEqualTo(Background.IDLE);
    }

    @Test
    void whatFailsIsToldAndTheNextPieceRuns() {
        background.start(progress -> {
            throw PixeronException.of("no value");
        }, result -> seen.add("shown"), problem -> seen.add(problem.getMessage()));
        runNext();
        background.start(progress -> {
            throw new StackOverflowError("too deep");
        }, result -> seen.add("shown"), problem -> seen.add(problem.getCause().getMessage()));
        runNext();
        background.start(progress -> {
            throw new OutOfMemoryError("full");
        }, result -> seen.add("shown"), problem -> seen.add(problem.getMessage()));
        runNext();
        start("next");
        runNext();
        assertThat(seen).containsExactly("no value", "too deep", "There is not enough memory. Use a smaller image.",
                "next");
    }
}
