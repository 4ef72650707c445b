package pixeron.app;

import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;

/** A window with nothing in it: what the time of the first window is compared with; see bench/startup. */
public final class EmptyWindow extends Application {

    @Override
    public void start(Stage stage) {
        stage.setTitle("Pixeron");
        stage.setScene(new Scene(new StackPane(), 1280, 800));
        stage.show();
    }

    public static void main(String... words) {
        launch(words);
    }
}
