package pixeron.exercise.practice;

import java.util.List;

/**
 * One exercise that was practiced.
 *
 * @param topic its id
 * @param variant its number, from 1
 * @param isRightAtFirst whether everything was right when it was checked first
 * @param slips the ids of what explained differences, each once
 * @param seconds from when it was shown to when everything was right or the next one was wanted
 */
public record Attempt(String topic, int variant, boolean isRightAtFirst, List<String> slips, int seconds) {

    public Attempt {
        slips = slips.stream().distinct().toList();
    }
}
