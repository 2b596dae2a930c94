package vocalis.desktop.arrange;

import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import javafx.beans.property.IntegerProperty;
import vocalis.core.arrange.Clash;
import vocalis.core.arrange.Song;
import vocalis.core.arrange.Stretch;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Section;
import vocalis.core.practice.Rounds;
import vocalis.core.practice.Vanishing;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.score.Score;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.Background;
import vocalis.workbench.playing.Heard;
import vocalis.workbench.playing.Songs;

/**
 * What is heard of a song in Arrange: all of it from a place on, a stretch round and round with one
 * guitar held, a clash alone, or another piece while a key is held. Used on the FX thread.
 */
public final class SongHearing {

    /** Rounds that the looper lays end to end; the fill comes on the last. */
    public static final int ROUNDS = 4;

    /** What is under the arrangement's caret. */
    interface Stage {
        /** The piece played through, as last reckoned. */
        Optional<Song> song();

        /** The section under the caret, by index. */
        IntegerProperty sectionProperty();

        /** The same as it is now. */
        Section current();

        /** The clash under the caret. */
        Optional<Clash> clashNow();

        /** Whether the song is what sounds. */
        boolean sounds();

        /** Something is to be shown otherwise. */
        void tell();
    }

    private final Stage arrange;
    private final Session session;
    private final Songs songs;
    private final Background background;
    private boolean looping;
    private Optional<Score> held = Optional.empty();
    private Optional<Rounds> rounds = Optional.empty();
    private OptionalLong place = OptionalLong.empty();
    private OptionalLong stretchEnd = OptionalLong.empty();
    private boolean previewing;

    SongHearing(Stage arrange, Session session, Songs songs, Background background) {
        this.arrange = arrange;
        this.session = session;
        this.songs = songs;
        this.background = background;
    }

    /** Whether a section or a stretch is looped. */
    public boolean looping() {
        return looping;
    }

    /** Whether the first guitar is held as it was while others are tried. */
    public boolean holding() {
        return held.isPresent();
    }

    /** Another state of the song. */
    void songChanged() {
        if (arrange.sounds() && !previewing) {
            show();
        }
    }

    /** Nothing of the song is heard any more. */
    void leave() {
        session.player().stop();
        held = Optional.empty();
        looping = false;
        rounds = Optional.empty();
        previewing = false;
        session.player().show(session.workspace().heard());
    }

    /** Another section is under the caret. */
    void sectionMoved() {
        place = OptionalLong.empty();
        stretchEnd = OptionalLong.empty();
        if (looping && arrange.sounds()) {
            held = Optional.empty();
            show();
        }
    }

    /** What is made for it will be heard, unless the key is let go before. */
    public void beginPreview() {
        previewing = true;
    }

    private void show() {
        arrange.song().ifPresent(s -> session.player().show(heard(s)));
    }

    private Heard heard(Song s) {
        Heard all;
        if (!looping || arrange.sectionProperty().get() >= s.piece().sections().size()) {
            rounds = Optional.empty();
            all = Heard.of(s);
        } else {
            long[] loop = loop(s);
            Rounds r = new Rounds(s.score().time(), loop[0], loop[1], ROUNDS, 0, 100);
            rounds = Optional.of(r);
            all = looped(s, r);
        }
        if (held.isPresent() && held.get().length() == all.score().length()) {
            all =
                    new Heard(
                            held.get(),
                            all.second(),
                            all.ground(),
                            all.mix(),
                            all.stretches(),
                            all.clicks());
        }
        return all;
    }

    /** What is looped: the stretch that is marked, else the section under the caret. */
    private long[] loop(Song s) {
        int i = arrange.sectionProperty().get();
        long from = i == 0 ? s.score().time().meters().pickup() : s.start(i);
        return stretchEnd.isPresent()
                ? new long[] {place(s), Math.min(s.length(), stretchEnd.getAsLong())}
                : new long[] {from, s.end(i)};
    }

    /** Where play begins: the place under the caret, else the section's beginning. */
    private long place(Song s) {
        long at = place.orElse(start(s));
        return at < s.length() ? at : start(s);
    }

    /** Where play begins, where that is not the section's beginning. */
    public OptionalLong placeNow() {
        return place;
    }

    /** Tick past the stretch that is marked from there. */
    public OptionalLong stretchNow() {
        return stretchEnd;
    }

    /** Moves by bars to where play begins, into other sections too. */
    public void movePlace(int bars) {
        arrange.song()
                .ifPresent(
                        s -> {
                            MeterMap meters = s.score().time().meters();
                            int last = meters.bars(s.length()) - 1;
                            int bar = Math.max(0, meters.bar(place(s)));
                            int to = Math.max(0, Math.min(last, bar + bars));
                            long at = to == 0 ? 0 : meters.start(to);
                            arrange.sectionProperty().set(s.sectionAt(at));
                            place = OptionalLong.of(at);
                            stretchEnd = OptionalLong.empty();
                            again();
                        });
    }

    /** Play begins at the bar of a tick. */
    public void goTo(long tick) {
        arrange.song()
                .ifPresent(
                        s -> {
                            MeterMap meters = s.score().time().meters();
                            int bar = meters.bar(tick);
                            place = OptionalLong.of(bar <= 0 ? 0 : meters.start(bar));
                            stretchEnd = OptionalLong.empty();
                            again();
                        });
    }

    /** Marks bars from there on, to be looped. */
    public void moveStretch(int bars) {
        arrange.song()
                .ifPresent(
                        s -> {
                            MeterMap meters = s.score().time().meters();
                            int first = Math.max(0, meters.bar(place(s)));
                            long end = stretchEnd.orElse(meters.start(first));
                            int bar = end >= s.length() ? meters.bars(s.length()) : meters.bar(end);
                            int to = Math.max(first, Math.min(meters.bars(s.length()), bar + bars));
                            place =
                                    OptionalLong.of(
                                            first == 0 ? meters.pickup() : meters.start(first));
                            stretchEnd =
                                    to == first
                                            ? OptionalLong.empty()
                                            : OptionalLong.of(meters.start(to));
                            again();
                        });
    }

    private void again() {
        if (looping && arrange.sounds()) {
            held = Optional.empty();
            show();
        }
        arrange.tell();
    }

    /** A section in rounds; the kit fills on the last of them only. */
    private Heard looped(Song s, Rounds r) {
        Score laid = r.of(s.score());
        List<Stretch> stretches =
                r.of(s.stretches()).stream()
                        .map(x -> x.to() == laid.length() ? x : x.goingOn())
                        .toList();
        return new Heard(
                laid,
                s.second().map(r::of),
                s.piece().riff().ground(),
                s.piece().mix(),
                stretches,
                new Heard.Clicks(0, Vanishing.NEVER));
    }

    /** Plays from the section under the caret, or its loop; or stops. */
    void togglePlay() {
        if (session.playing()) {
            session.player().stop();
        } else {
            playFromSection();
        }
    }

    private void playFromSection() {
        arrange.song().ifPresent(s -> session.player().play(looping ? 0 : place(s)));
    }

    private long start(Song s) {
        return arrange.sectionProperty().get() < s.piece().sections().size()
                ? s.start(arrange.sectionProperty().get())
                : 0;
    }

    /** Plays the section under the caret until {@link #endHearing}. */
    boolean beginHearing() {
        if (!previewing && arrange.song().isPresent()) {
            previewing = true;
            playFromSection();
        }
        return previewing;
    }

    /** Ends what is heard while a key is held. */
    public void endHearing() {
        if (previewing) {
            previewing = false;
            session.player().stop();
            show();
        }
    }

    /** Plays the bar of the clash under the caret, both guitars and the bass alone. */
    public boolean hearClash() {
        Optional<Clash> c = arrange.clashNow();
        Optional<Song> s = arrange.song();
        if (c.isPresent() && s.isPresent() && !previewing) {
            previewing = true;
            var meters = s.get().score().time().meters();
            int bar = Math.max(0, meters.bar(c.get().from()));
            long to = Math.min(s.get().length(), meters.end(bar));
            var mix = s.get().piece().mix();
            Heard h = Heard.of(s.get(), meters.start(bar), to);
            session.player().showAndPlay(h.mixed(mix.withKit(mix.kit().on(false), mix.feel())), 0);
        }
        return previewing;
    }

    /** Plays the section under the caret of another piece until {@link #endHearing}. */
    public void preview(Piece other) {
        if (!previewing) {
            return;
        }
        background.ask(
                "playing it through",
                () -> songs.of(other, session.hand()),
                s -> {
                    if (previewing) {
                        int i =
                                Math.min(
                                        arrange.sectionProperty().get(),
                                        other.sections().size() - 1);
                        long begin = i == 0 ? s.score().time().meters().pickup() : s.start(i);
                        session.player().showAndPlay(Heard.of(s, begin, s.end(i)), 0);
                    }
                });
    }

    /** Where the player is in the song; the beginning of a loop's section while it counts. */
    public double tick(double ofPlayer) {
        return rounds.map(r -> (double) r.whole(ofPlayer)).orElse(ofPlayer);
    }

    /** The round of the loop that plays, from 1; empty where nothing is looped. */
    public Optional<Integer> round(double ofPlayer) {
        return rounds.map(r -> r.round(ofPlayer) % ROUNDS + 1);
    }

    /** Loops the section under the caret, or the whole goes on. */
    public void toggleLoop() {
        looping = !looping;
        held = looping ? held : Optional.empty();
        boolean playing = session.playing();
        session.player().stop();
        if (playing && arrange.song().isPresent()) {
            Song s = arrange.song().get();
            session.player().showAndPlay(heard(s), looping ? 0 : place(s));
        } else {
            show();
        }
        session.say(
                looping
                        ? (stretchEnd.isPresent() ? "The stretch" : arrange.current().name())
                                + " comes round: four rounds, the fill on the fourth."
                        : "The whole song again.");
        arrange.tell();
    }

    /** Holds the first guitar as it sounds while something else is tried, or lets it go. */
    public void toggleHold() {
        if (held.isPresent()) {
            held = Optional.empty();
            show();
            session.say("Guitar one follows the piece again.");
        } else if (arrange.song().isPresent()) {
            looping = true;
            held = Optional.of(heard(arrange.song().get()).score());
            show();
            session.say("Guitar one is held as it is: try the other part, it loops on.");
        }
        arrange.tell();
    }
}
