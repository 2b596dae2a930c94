package vocalis.workbench.words;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.Collectors;
import vocalis.core.derive.Derived;
import vocalis.core.revoice.Difference;
import vocalis.core.revoice.Intent;
import vocalis.core.revoice.Row;
import vocalis.core.revoice.Rub;
import vocalis.core.theory.Key;

/** Treatments of a riff side by side, in words. */
public final class RevoiceWords {

    private RevoiceWords() {}

    /** What an intent is called. */
    public static String name(Intent i) {
        return switch (i) {
            case SMOOTH_TOP -> "Smooth top";
            case RISING_TOP -> "Climbing top";
            case FALLING_TOP -> "Falling top";
            case HELD_NOTE -> "One note held";
            case RISING_TENSION -> "Rising tension";
            case LEAST_HAND -> "Least hand";
            case TIGHT -> "Tight";
            case MOVING_BASS -> "Moving bass";
            case CONTRARY_MOTION -> "Contrary motion";
            case LEANEST -> "Leanest";
            case DARKEST -> "Darkest";
            case BRIGHTEST -> "Brightest";
            case SURPRISE -> "Surprise";
        };
    }

    /** What an intent is after. */
    public static String aim(Intent i) {
        return switch (i) {
            case SMOOTH_TOP -> "the top line moves by steps";
            case RISING_TOP -> "the top line climbs";
            case FALLING_TOP -> "the top line falls";
            case HELD_NOTE -> "one note sounds in every chord";
            case RISING_TENSION -> "tension rises to the seam";
            case LEAST_HAND -> "the least work for the hand";
            case TIGHT -> "one shape on the same strings, the root lowest";
            case MOVING_BASS -> "the bass moves by steps";
            case CONTRARY_MOTION -> "the top goes up where the bass goes down";
            case LEANEST -> "few and even intervals for the amplifier";
            case DARKEST -> "low, with the dark degrees";
            case BRIGHTEST -> "high, with the bright degrees and open strings";
            case SURPRISE -> "something by chance";
        };
    }

    /** What a row is called. */
    public static String name(Row row) {
        if (row.version().isPresent()) {
            return row.version().get();
        }
        return row.mix()
                ? "as written"
                : row.family()
                        .map(f -> f.shortLabel())
                        .orElseGet(() -> name(row.intent().orElseThrow()));
    }

    /** What a row does and what it costs, in a sentence. */
    public static String what(Row row) {
        String does =
                row.mix()
                        ? "the riff as it stands"
                        : row.version().isPresent()
                                ? "kept beside what is written"
                                : row.family().isPresent()
                                        ? FamilyWords.effect(row.family().get())
                                        : did(row, row.intent().get());
        return does + "; " + shifts(row);
    }

    /** How the hand goes through a row. */
    public static String shifts(Row row) {
        return HandWords.shifts(
                row.derived().chords().stream().map(c -> c.candidate().voicing().shape()).toList());
    }

    private static String did(Row row, Intent intent) {
        List<Integer> tops = tops(row.derived());
        Key key = row.riff().ground().key();
        return switch (intent) {
            case SMOOTH_TOP ->
                    "the top moves " + moves(tops) + " semitones a round: " + notes(tops, key);
            case RISING_TOP -> "the top climbs: " + notes(tops, key);
            case FALLING_TOP -> "the top falls: " + notes(tops, key);
            case HELD_NOTE -> held(row.derived(), key) + " sounds in every chord";
            case RISING_TENSION ->
                    "tension "
                            + row.tension().stream()
                                    .map(String::valueOf)
                                    .collect(Collectors.joining(", "));
            case LEAST_HAND -> String.format("effort %.1f a shape", row.way().effort());
            case TIGHT -> "one shape on the same strings, the root lowest";
            case MOVING_BASS -> "the bass goes " + notes(basses(row.derived()), key);
            case CONTRARY_MOTION ->
                    "the top goes "
                            + notes(tops, key)
                            + " over "
                            + notes(basses(row.derived()), key);
            case LEANEST -> "few and even intervals for the amplifier";
            case DARKEST -> "low, with the dark degrees";
            case BRIGHTEST -> "high, with the bright degrees and open strings";
            case SURPRISE -> "something by chance; ask again for another";
        };
    }

    private static List<Integer> tops(Derived d) {
        return d.chords().stream()
                .map(c -> Collections.max(c.candidate().voicing().midi()))
                .toList();
    }

    private static List<Integer> basses(Derived d) {
        return d.chords().stream().map(c -> c.candidate().voicing().bass()).toList();
    }

    private static int moves(List<Integer> tops) {
        int sum = 0;
        for (int i = 0; i < tops.size(); i++) {
            sum += Math.abs(tops.get((i + 1) % tops.size()) - tops.get(i));
        }
        return sum;
    }

    private static String notes(List<Integer> midi, Key key) {
        return midi.stream()
                .limit(16)
                .map(m -> key.note(m).symbol())
                .collect(Collectors.joining(" "));
    }

    private static String held(Derived d, Key key) {
        List<Integer> shared = new ArrayList<>(d.chords().get(0).candidate().voicing().midi());
        d.chords().forEach(c -> shared.retainAll(c.candidate().voicing().midi()));
        return shared.isEmpty() ? "no note" : key.note(shared.get(0)).symbol();
    }

    /** What another treatment changes at a chord, in plain words. */
    public static String of(Difference d, Key key) {
        List<String> said = new ArrayList<>();
        if (!d.come().isEmpty()) {
            said.add(names(d.come(), key) + (d.come().size() == 1 ? " comes" : " come"));
        }
        if (!d.go().isEmpty()) {
            said.add(names(d.go(), key) + (d.go().size() == 1 ? " goes" : " go"));
        }
        if (d.third() != d.thirdBefore()) {
            said.add(
                    switch (d.third()) {
                        case NONE -> "nothing says major or minor";
                        case MINOR -> "the third says minor";
                        case MAJOR -> "the third says major";
                    });
        }
        if (d.root() != d.rootBefore()) {
            said.add(
                    "the heard root moves from "
                            + key.say(d.rootBefore()).symbol()
                            + " to "
                            + key.say(d.root()).symbol());
        }
        if (d.open() != d.openBefore()) {
            said.add(
                    d.open() == 0
                            ? "no open string rings"
                            : d.open() == 1
                                    ? "one open string rings"
                                    : d.open() + " open strings ring");
        }
        if (Math.abs(d.effort() - d.effortBefore()) >= 0.5 && d.effort() < 50) {
            said.add(d.effort() > d.effortBefore() ? "harder to hold" : "easier to hold");
        }
        if (d.pull() != d.pullBefore()) {
            said.add(
                    d.pull() > d.pullBefore()
                            ? "it pulls harder into the next"
                            : "it pulls less into the next");
        }
        return said.isEmpty() ? "nothing changes here" : String.join(", ", said);
    }

    /** What rubs between two guitars, in plain words. */
    public static String of(List<Rub> rubs, Key key) {
        if (rubs.isEmpty()) {
            return "no clash";
        }
        String first =
                rubs.stream()
                        .limit(3)
                        .map(
                                r ->
                                        key.note(r.two()).symbol()
                                                + " against "
                                                + key.note(r.one()).symbol()
                                                + " ("
                                                + kind(r.kind())
                                                + ")")
                        .collect(Collectors.joining(", "));
        return first + (rubs.size() > 3 ? " and " + (rubs.size() - 3) + " more" : "");
    }

    private static String kind(Rub.Kind k) {
        return switch (k) {
            case SECOND -> "a second";
            case SEVENTH -> "a seventh";
            case TRITONE -> "a tritone";
            case LOW_THIRD -> "a low third";
        };
    }

    private static String names(List<Integer> pitchClasses, Key key) {
        return pitchClasses.stream()
                .map(p -> key.say(p).symbol())
                .collect(Collectors.joining(", "));
    }
}
