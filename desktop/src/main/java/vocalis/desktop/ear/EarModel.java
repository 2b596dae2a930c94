package vocalis.desktop.ear;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.function.Consumer;
import vocalis.core.derive.Derived;
import vocalis.core.ear.EarKind;
import vocalis.core.ear.EarQuestion;
import vocalis.core.ear.EarRounds;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Shape;
import vocalis.core.piece.Piece;
import vocalis.core.practice.Entry;
import vocalis.core.riff.Riff;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.pictures.Chords;
import vocalis.desktop.practise.PracticeDiary;
import vocalis.desktop.session.Session;
import vocalis.workbench.library.Library;
import vocalis.workbench.library.LibraryEntry;
import vocalis.workbench.library.PieceFiles;

/**
 * A round for the ear: roots of the player's riffs, voiced on the instrument that is open, each
 * voicing measured before it is asked for, so that all sound equally loud.
 */
final class EarModel {

    /** Questions in a round. */
    static final int QUESTIONS = 8;

    /** What is further apart in loudness is told by it, and not asked. */
    private static final double MOST_APART_LU = 0.35;

    /** Riffs of the logbook that roots are taken from, the newest. */
    private static final int MOST_RIFFS = 30;

    /**
     * A question made ready.
     *
     * @param key that its notes are said in
     * @param from title of the riff that the root is from
     * @param picture the voicings as chords of a riff
     */
    record Ready(EarQuestion question, Key key, String from, Derived picture) {}

    /** A root that the player uses. */
    private record Used(int root, Key key, String title) {}

    private final Session session;
    private final PracticeDiary diary;
    private final Library library;
    private final Random random;
    private final List<Used> used = new ArrayList<>();
    private final Map<EarKind, int[]> answered = new TreeMap<>();
    private final long begun;
    private int asked;

    EarModel(Session session, PracticeDiary diary, Library library, long now) {
        this.session = session;
        this.diary = diary;
        this.library = library;
        random = new Random(now);
        begun = now;
    }

    /** How many questions were asked so far. */
    int asked() {
        return asked;
    }

    /** Makes the next question on a worker; empty where the instrument has nothing to ask for. */
    void next(Consumer<Optional<Ready>> answer) {
        asked++;
        Piece piece = session.piece();
        Hand hand = session.hand();
        session.ask("making a question for the ear", () -> make(piece, hand), answer);
    }

    private synchronized Optional<Ready> make(Piece piece, Hand hand) {
        Riff riff = piece.riff();
        if (used.isEmpty()) {
            take(riff, piece.title());
            logbook();
        }
        EarRounds rounds = new EarRounds(session.catalogue(), riff.ground().board(), hand);
        for (int tries = 0; tries < 40; tries++) {
            EarKind kind = EarRounds.next(diary.all(), begun, random);
            Used root = used.get(random.nextInt(used.size()));
            Optional<EarQuestion> q = rounds.ask(kind, root.root, random);
            if (q.isPresent() && equallyLoud(q.get())) {
                return Optional.of(
                        new Ready(
                                q.get(),
                                root.key,
                                root.title,
                                Chords.of(
                                        q.get().voicings(),
                                        riff,
                                        root.key,
                                        hand,
                                        session.catalogue())));
            }
        }
        return Optional.empty();
    }

    private boolean equallyLoud(EarQuestion q) {
        List<Shape> shapes = q.voicings().stream().map(Voicing::shape).toList();
        return session.player().measure(shapes) <= MOST_APART_LU;
    }

    private void logbook() {
        for (LibraryEntry e : library.remembered().stream().limit(MOST_RIFFS).toList()) {
            try {
                var p = PieceFiles.read(library.file(e)).piece();
                take(p.riff(), p.title());
            } catch (PieceFiles.PieceFileException x) {
                // The logbook itself tells of files that cannot be read.
                continue;
            }
        }
    }

    private void take(Riff riff, String title) {
        Key key = riff.ground().key();
        riff.roots().stream()
                .map(r -> r.root().pitchClass(key))
                .distinct()
                .forEach(pc -> used.add(new Used(pc, key, title)));
    }

    /** Takes an answer down. */
    void answered(EarKind kind, boolean right) {
        int[] counts = answered.computeIfAbsent(kind, k -> new int[2]);
        counts[0]++;
        counts[1] += right ? 0 : 1;
    }

    /** The kinds of which one was answered wrongly. */
    List<EarKind> hard() {
        return answered.entrySet().stream()
                .filter(e -> e.getValue()[1] > 0)
                .map(Map.Entry::getKey)
                .toList();
    }

    /** Keeps the round like practice, a line for each kind. */
    void keep(long now) {
        answered.forEach(
                (kind, counts) ->
                        diary.write(
                                new Entry(
                                        begun,
                                        session.piece().id(),
                                        session.piece().title(),
                                        kind.id(),
                                        0,
                                        0,
                                        0,
                                        counts[0],
                                        counts[1],
                                        (now - begun) / 1000.0)));
        answered.clear();
    }
}
