package vocalis.desktop.practise;

import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Function;
import vocalis.core.arrange.Song;
import vocalis.core.practice.ChangeToPractise;
import vocalis.core.practice.Rounds;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.score.Score;
import vocalis.desktop.session.Teller;
import vocalis.workbench.words.PracticeWords;

/** Which stretch of the song is practised; a song that changes keeps it, as far as it has it. */
public final class Aiming {

    /** How many of the hardest changes are gone through. */
    private static final int HARD_CHANGES = 5;

    /** What goes on around. */
    interface Told {
        /** Another stretch is about to be practised. */
        void leaving(Aim from, Aim to);

        /** It is. */
        void aimed();

        /** Something is shown otherwise. */
        void tell();
    }

    private final Teller session;
    private final BooleanSupplier secondShown;
    private final Told told;
    private Optional<Song> song = Optional.empty();
    private Function<Song, Aim> aiming = s -> Aim.section(s, 0);
    private Aim aim = Aim.NONE;
    private int hard = -1;

    /**
     * @param secondShown whether the second guitar's changes are asked for
     */
    Aiming(Teller session, BooleanSupplier secondShown, Told told) {
        this.session = session;
        this.secondShown = secondShown;
        this.told = told;
    }

    /** The song played through, when it is known. */
    Optional<Song> song() {
        return song;
    }

    /** What is practised. */
    Aim aim() {
        return aim;
    }

    /** Another state of the song: the same stretch of it. */
    void songIs(Optional<Song> now) {
        song = now;
        song.ifPresent(this::aimAgain);
    }

    /** What will be aimed at from the next song on. */
    void begin(Function<Song, Aim> at) {
        aiming = at;
    }

    /** The hardest change comes first again. */
    void hardestFirst() {
        hard = -1;
    }

    private void aimAt(Function<Song, Aim> at) {
        song.ifPresent(
                s -> {
                    aiming = at;
                    if (aimAgain(s)) {
                        told.aimed();
                    }
                    told.tell();
                });
    }

    /** Takes the stretch of a song that is aimed at; says whether it is another. */
    private boolean aimAgain(Song s) {
        Aim next = aiming.apply(s);
        if (next.equals(aim)) {
            return false;
        }
        told.leaving(aim, next);
        aim = next;
        return true;
    }

    /** Practises a section. */
    public void section(int index) {
        aimAt(s -> Aim.section(s, index));
    }

    /** Practises the next (last) section. */
    public void nextSection(int by) {
        song.ifPresent(
                s ->
                        section(
                                Math.floorMod(
                                        s.sectionAt(aim.from()) + by,
                                        s.piece().sections().size())));
    }

    /** Practises everything. */
    public void whole() {
        aimAt(Aim::whole);
    }

    /** Practises the hardest change alone, then the next hardest. */
    public void hardChange() {
        List<ChangeToPractise> all =
                song.map(s -> ChangeToPractise.of(s, secondShown.getAsBoolean())).orElse(List.of());
        if (all.isEmpty()) {
            session.say("The hand stays where it is: no change is hard here.");
            return;
        }
        hard = (hard + 1) % Math.min(HARD_CHANGES, all.size());
        ChangeToPractise h = all.get(hard);
        aimAt(s -> Aim.change(s, h));
        session.say(PracticeWords.of(h));
    }

    /** Moves the stretch by bars, or its end alone. */
    public void moveStretch(int bars, boolean endOnly) {
        song.ifPresent(
                s -> {
                    MeterMap meters = s.score().time().meters();
                    int a = Math.max(0, meters.bar(aim.from()));
                    int length = meters.bar(Math.max(0, aim.to() - 1)) + 1 - a;
                    int last = meters.bars(s.length()) - length;
                    int first = endOnly ? a : Math.max(0, Math.min(last, a + bars));
                    int past = first + length + (endOnly ? bars : 0);
                    aimAt(x -> Aim.bars(x, first, past));
                });
    }

    /** The stretch from its first tick on, at so many hundredths of its tempo. */
    public Optional<Score> asked(double hundredths) {
        return song.map(
                s -> {
                    Score all =
                            secondShown.getAsBoolean() ? s.second().orElse(s.score()) : s.score();
                    return new Rounds(s.score().time(), aim.from(), aim.to(), 1, 0, hundredths)
                            .of(all);
                });
    }
}
