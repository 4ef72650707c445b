package pixeron.exercise.practice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Everything that was practiced, in order, and what comes next by it. Immutable.
 *
 * <p>The rule: each topic has a level, 0 at the beginning. Right at first, it goes up by one, to 5 at most, and comes again after 2, 4, 8, 16 or 32
 * other exercises; not right at first, it goes back to 0 and comes again after one other. Of the topics that are due the one that has been due longest
 * comes next; where none is, the first that was never practiced; where there is none of those either, the one that is due soonest.
 *
 * @param attempts the oldest first
 */
public record Practiced(List<Attempt> attempts) {

    /** Nothing was practiced. */
    public static final Practiced NONE = new Practiced(List.of());

    /** The level of a topic that was right at first again and again. */
    public static final int HIGHEST = 5;

    public Practiced {
        attempts = List.copyOf(attempts);
    }

    /** Returns this with another attempt. */
    public Practiced with(Attempt attempt) {
        return new Practiced(Stream.concat(attempts.stream(), Stream.of(attempt)).toList());
    }

    /**
     * Where a topic stands.
     *
     * @param level 0–5
     * @param due after how many exercises in all it comes again
     */
    private record Standing(int level, int due) {
    }

    private Map<String, Standing> standings() {
        Map<String, Standing> standings = new HashMap<>();
        for (int n = 0; n < attempts.size(); n++) {
            Attempt attempt = attempts.get(n);
            int before = standings.getOrDefault(attempt.topic(), new Standing(0, 0)).level();
            int level = attempt.isRightAtFirst() ? Math.min(HIGHEST, before + 1) : 0;
            int others = level == 0 ? 1 : 1 << level;
            standings.put(attempt.topic(), new Standing(level, n + 1 + others));
        }
        return standings;
    }

    /** Returns 0–5. */
    public int level(String topic) {
        return standings().getOrDefault(topic, new Standing(0, 0)).level();
    }

    /**
     * Returns the topic that comes next.
     *
     * @param topics ids in the order in which they are to be learned, at least one
     */
    public String next(List<String> topics) {
        Map<String, Standing> standings = standings();
        Comparator<String> byDue = Comparator.comparingInt(topic -> standings.get(topic).due());
        List<String> known = topics.stream().filter(standings::containsKey).sorted(byDue).toList();
        Optional<String> due = known.stream().filter(topic -> standings.get(topic).due() <= attempts.size()).findFirst();
        return due.or(() -> topics.stream().filter(topic -> !standings.containsKey(topic)).findFirst()).orElseGet(() -> known.get(0));
    }

    /** Returns the number of the variant of a topic that was not practiced yet. */
    public int nextVariant(String topic) {
        return 1 + attempts.stream().filter(attempt -> attempt.topic().equals(topic)).mapToInt(Attempt::variant).max().orElse(0);
    }

    /**
     * What is told of a topic.
     *
     * @param done how often it was practiced
     * @param rightAtFirst how often everything was right when it was checked first
     * @param slips ids with how often, most frequent first
     * @param seconds one took in the mean, rounded
     */
    public record Summary(int done, int rightAtFirst, List<Map.Entry<String, Long>> slips, int seconds) {
    }

    /** Returns what is told of a topic. */
    public Summary summary(String topic) {
        List<Attempt> of = attempts.stream().filter(attempt -> attempt.topic().equals(topic)).toList();
        List<Map.Entry<String, Long>> slips = new ArrayList<>(of.stream().flatMap(attempt -> attempt.slips().stream()).collect(Collectors.groupingBy(slip -> slip,
                Collectors.counting())).entrySet());
        slips.sort(Map.Entry.<String, Long>comparingByValue().reversed().thenComparing(Map.Entry.comparingByKey()));
        return new Summary(of.size(), (int) of.stream().filter(Attempt::isRightAtFirst).count(), slips,
                (int) Math.round(of.stream().mapToInt(Attempt::seconds).average().orElse(0)));
    }
}
