package pixeron.app;

import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.IntStream;
import javafx.animation.AnimationTimer;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.testfx.util.WaitForAsyncUtils;
import pixeron.app.model.Speed;
import pixeron.app.sheet.paint.Extent;
import pixeron.app.sheet.paint.Viewport;
import pixeron.format.ImageFiles;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;

/**
 * How a large image feels; prints figures, judges nothing. Runs only when asked: {@code mvn test -pl app -am
 * -Dtest=Measurements -Dpixeron.measure=yes}.
 */
@EnabledIfSystemProperty(named = "pixeron.measure", matches = ".+")
class Measurements extends WindowTest {

    private static final int SIZE = Integer.getInteger("pixeron.size", 4096);
    private static final int ROUNDS = 60;

    /** Returns a file with an image of random levels. */
    private Path random(String name, int side) {
        Random random = new Random(side);
        Path file = folder.resolve(name + ".pgm");
        ImageFiles.write(file, Image.ofLevels(side, side, 255, n -> random.nextInt(256)), false);
        return file;
    }

    /** The longest time for which the window's thread did not come round while something was done. */
    private long longestPause(Runnable action) {
        AtomicLong longest = new AtomicLong();
        AtomicLong last = new AtomicLong(System.nanoTime());
        AnimationTimer timer = new AnimationTimer() {
            @Override
            public void handle(long now) {
                long time = System.nanoTime();
                longest.accumulateAndGet(time - last.getAndSet(time), Math::max);
            }
        };
        interact(timer::start);
        action.run();
        interact(timer::stop);
        return longest.get() / 1_000_000;
    }

    private void print(String what, long[] nanos) {
        Arrays.sort(nanos);
        System.out.printf("%-34s median %6.1f ms   95th percentile %6.1f ms%n", what, nanos[nanos.length / 2] / 1e6,
                nanos[nanos.length * 95 / 100] / 1e6);
    }

    /** Time from frame to frame while something changes in every frame; 16.7 ms is as fast as frames come. */
    private void frames(String what, Runnable change) {
        long[] times = new long[ROUNDS];
        AtomicLong last = new AtomicLong();
        java.util.concurrent.atomic.AtomicInteger count = new java.util.concurrent.atomic.AtomicInteger(-10);
        AnimationTimer timer = new AnimationTimer() {
            @Override
            public void handle(long now) {
                long time = System.nanoTime();
                int n = count.getAndIncrement();
                if (n >= 0 && n < ROUNDS) {
                    times[n] = time - last.get();
                }
                last.set(time);
                change.run();
            }
        };
        interact(timer::start);
        until(() -> count.get() >= ROUNDS);
        interact(timer::stop);
        print(what, times);
    }

    /** Painting and rendering Before alone, from the first call to the finished picture, without waiting for a frame. */
    private void drawing(String what, Viewport viewport) {
        long[] times = new long[ROUNDS];
        interact(() -> {
            var painter = new pixeron.app.sheet.paint.ImagePainter(bench().shown().before().orElseThrow(),
                    pixeron.app.sheet.paint.Look.of(bench().shown(), pixeron.app.model.Display.PLAIN),
                    new pixeron.app.theme.Theme(new javafx.scene.layout.StackPane()));
            var canvas = new javafx.scene.canvas.Canvas(300, 340);
            for (int n = -10; n < ROUNDS; n++) {
                viewport.pan(-7, -5);
                long start = System.nanoTime();
                painter.paint(canvas.getGraphicsContext2D(), Extent.of(viewport));
                canvas.snapshot(null, null);
                if (n >= 0) {
                    times[n] = System.nanoTime() - start;
                }
            }
        });
        print(what, times);
    }

    @Test
    void aLargeImage() {
        Random random = new Random(1);
        Path file = random("large", SIZE);
        sleep(4000);
        long start = System.nanoTime();
        long pause = longestPause(() -> open(file));
        System.out.printf("%d × %d: open %.0f ms, longest pause of the window %d ms%n", SIZE, SIZE,
                (System.nanoTime() - start) / 1e6, pause);
        for (String line : List.of("linear gain=3.75 bias=-360", "threshold at=128",
                "divide divisor=3 rounding=none")) {
            long before = System.nanoTime();
            long stepPause = longestPause(() -> {
                interact(() -> bench().addStep(StepLine.parse(line)));
                settle();
            });
            System.out.printf("%-34s %6.0f ms until shown, longest pause %d ms%n", line,
                    (System.nanoTime() - before) / 1e6, stepPause);
        }
        interact(() -> bench().select(1));
        settle();
        Viewport viewport = ((pixeron.app.bench.BenchView) lookup(".bench").query()).sheets().viewport();
        for (double cell : new double[] {0.07, 0.5, 3, 8, 24, 48}) {
            interact(() -> {
                viewport.fit();
                viewport.zoom(cell / viewport.cell());
            });
            frames("pan, three sheets, cells of " + cell, () -> viewport.pan(-7, -5));
            drawing("drawing one sheet, cells of " + cell, viewport);
        }
        frames("zoom by a step and back", () -> viewport.zoom(random.nextBoolean() ? 1.15 : 1 / 1.15));
        pick(2000, 2000);
        frames("pick the next pixel", () -> bench().pick(new Pixel(SIZE / 2, bench().pickedProperty().get().column()
                + 1)));
        push(KeyCode.ESCAPE);
    }

    /**
     * From a slider that is moved to the picture that follows, with five steps behind it; the step that is moved is selected, then the last one.
     * First with a pause before each move, then without one, so that what came before is still being drawn.
     */
    @Test
    void aSlider() throws InterruptedException {
        open(random("slider", 1024));
        List<String> behind = List.of("linear gain=1.2 bias=-20", "box size=3", "power gamma=0.8", "kernel weights=\"0 -1 0 | -1 5 -1 | 0 -1 0\"", "threshold at=128");
        interact(() -> {
            bench().addStep(StepLine.parse("add amount=0"));
            behind.forEach(line -> bench().addStep(StepLine.parse(line)));
        });
        settle();
        for (int round = 0; round < 4; round++) {
            int selected = round % 2 == 0 ? 0 : behind.size();
            int pause = round < 2 ? 100 : 0;
            interact(() -> bench().select(selected));
            settle();
            long[] times = new long[ROUNDS];
            for (int n = -10; n < ROUNDS; n++) {
                int amount = n;
                java.util.concurrent.CountDownLatch shown = new java.util.concurrent.CountDownLatch(1);
                long[] when = new long[2];
                javafx.application.Platform.runLater(() -> {
                    when[0] = System.nanoTime();
                    bench().edit("slider", project -> project.withChain(chain -> chain.replaced(0, StepLine.parse("add amount=" + amount))));
                    bench().shownProperty().addListener(new javafx.beans.value.ChangeListener<>() {
                        @Override
                        public void changed(javafx.beans.value.ObservableValue<? extends pixeron.app.model.Shown> property, pixeron.app.model.Shown old,
                                pixeron.app.model.Shown now) {
                            if (now.project() == bench().project()) {
                                property.removeListener(this);
                                when[1] = System.nanoTime();
                                shown.countDown();
                            }
                        }
                    });
                });
                shown.await();
                if (n >= 0) {
                    times[n] = when[1] - when[0];
                }
                // What is drawn of it belongs to the next frame.
                WaitForAsyncUtils.waitForFxEvents();
                Thread.sleep(pause);
            }
            print("a slider, step " + (selected + 1) + " selected, " + pause + " ms apart", times);
        }
    }

    /** Frames while a walk plays over a kernel's result, with the window on Before, the working, the loops. */
    @Test
    void theWalk() {
        // The second time what is around it is compiled, as in a window that has been used for half a minute.
        for (int round = 0; round < 4; round++) {
            int size = round % 2 == 0 ? 8 : 512;
            Path file = random("walk" + round, size);
            interact(() -> {
                if (bench().isOpen()) {
                    bench().past().giveUpUnsaved();
                }
            });
            open(file);
            interact(() -> bench().addStep(StepLine.parse("kernel weights=\"1 2 1 | 2 4 2 | 1 2 1\"")));
            settle();
            push(KeyCode.F9);
            for (Speed speed : Speed.values()) {
                interact(() -> {
                    bench().walking().speedProperty().set(speed);
                    bench().walking().toStart();
                    bench().walking().playingProperty().set(true);
                });
                frames("walk over " + size + " × " + size + ", " + speed.title(), () -> {
                    if (!bench().walking().playingProperty().get()) {
                        bench().walking().toStart();
                        bench().walking().playingProperty().set(true);
                    }
                });
            }
            interact(() -> {
                bench().walking().toStart();
                bench().walking().playingProperty().set(true);
            });
            long start = System.nanoTime();
            until(() -> bench().walking().walk().isAtEnd());
            System.out.printf("the whole walk, fast: %.1f s, %d of %d written%n", (System.nanoTime() - start) / 1e9,
                    bench().walking().walk().written(), size * size);
        }
    }

    private static long usedAfterCollection() {
        for (int n = 0; n < 4; n++) {
            System.gc();
        }
        return Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
    }

    /** What a large image with five steps holds beyond an empty window; the first shown is the last step's result. */
    @Test
    void memory() {
        Path file = random("large", SIZE);
        sleep(4000);
        long empty = usedAfterCollection();
        open(file);
        for (String line : List.of("linear gain=1.15 bias=-15", "power gamma=0.7", "equalize", "stretch cut=2", "threshold-otsu")) {
            interact(() -> bench().addStep(StepLine.parse(line)));
            settle();
        }
        sleep(3000);
        System.out.printf("five steps on %d × %d: %.1f bytes a pixel beyond an empty window of %d MiB%n", SIZE, SIZE,
                (usedAfterCollection() - empty) / ((double) SIZE * SIZE), empty >> 20);
    }

    /** From a value written on a filled sheet of 64 × 64 until its mark and what slips say of it are shown; a step was added three seconds before. */
    @Test
    void typing() {
        Random random = new Random(3);
        Path file = random("typed", 64);
        sleep(5000);
        open(file);
        interact(() -> bench().addStep(StepLine.parse("kernel weights=\"1 2 1 | 2 4 2 | 1 2 1\"")));
        settle();
        sleep(3000);
        Image right = bench().shown().operation().orElseThrow().result(Progress.NONE);
        List<List<String>> rows = IntStream.range(0, right.rows()).mapToObj(i -> IntStream.range(i * right.columns(), (i + 1) * right.columns())
                .mapToObj(n -> String.valueOf(right.level(n) + (n % 7 == 0 ? 1 + n % 5 : 0))).toList()).toList();
        long start = System.nanoTime();
        interact(() -> bench().hand().writeBlock(bench().hand().target(), new Pixel(0, 0), rows));
        settle();
        System.out.printf("the whole sheet at once, the first time: %.0f ms until marks and slips are shown%n", (System.nanoTime() - start) / 1e6);
        long[] times = new long[ROUNDS];
        AtomicLong marked = new AtomicLong();
        // The last to hear of it: all views have been told.
        interact(() -> bench().shownProperty().subscribe(made -> marked.set(System.nanoTime())));
        for (int n = -10; n < ROUNDS; n++) {
            Pixel pixel = right.pixel(random.nextInt(right.count()));
            String text = String.valueOf(random.nextInt(256));
            AtomicLong pressed = new AtomicLong();
            interact(() -> {
                pressed.set(System.nanoTime());
                bench().hand().write(bench().hand().target(), pixel, text);
            });
            settle();
            if (n >= 0) {
                times[n] = marked.get() - pressed.get();
            }
        }
        print("a value written, until it is marked", times);
    }
}
