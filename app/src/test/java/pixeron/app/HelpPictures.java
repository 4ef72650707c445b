package pixeron.app;

import java.io.IOException;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/** Pictures of what explains the window. */
@EnabledIfSystemProperty(named = "pixeron.pictures", matches = ".+")
class HelpPictures extends PictureTest {

    @Test
    void finding() throws IOException {
        demo("Three-bit sort");
        push(KeyCode.SHORTCUT, KeyCode.F);
        write("equal");
        push(KeyCode.DOWN);
        push(KeyCode.DOWN);
        take("find");
        push(KeyCode.ESCAPE);
        push(KeyCode.SHORTCUT, KeyCode.F1);
        push(KeyCode.RIGHT);
        take("first-minute");
    }
}
