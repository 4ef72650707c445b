package pixeron.exercise.mark;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** Names of files for the reports of a class: readable, short enough for every disk, and no two alike. */
public final class ReportNames {

    private static final int LONGEST = 60;

    private ReportNames() {
    }

    /**
     * Returns a name for each, in their order.
     *
     * @param wanted what each is called: a user, or a file that came in, with its folder
     * @param ending of each, with its point
     */
    public static List<String> of(List<String> wanted, String ending) {
        Set<String> taken = new HashSet<>();
        List<String> names = new ArrayList<>();
        for (String want : wanted) {
            String plain = plain(want);
            String name = plain;
            // On many disks small and capital letters are the same.
            for (int n = 2; !taken.add(name.toLowerCase(Locale.ROOT)); n++) {
                name = plain + " " + n;
            }
            names.add(name + ending);
        }
        return names;
    }

    private static String plain(String want) {
        String name = want.replaceAll("(\\.pixeron)?\\.[A-Za-z0-9]{2,5}(?=,|$)", "").replaceAll("[^\\p{L}\\p{M}\\p{N} ._-]", "_").replaceFirst("^\\.+", "_").strip();
        int[] signs = name.codePoints().limit(LONGEST).toArray();
        return signs.length == 0 ? "answer" : new String(signs, 0, signs.length).strip();
    }
}
