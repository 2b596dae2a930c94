package vocalis.core.offer;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import vocalis.core.check.Check;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.Chords;
import vocalis.core.edit.FigureText;
import vocalis.core.hands.Hand;
import vocalis.core.pattern.Pattern;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Riffs;
import vocalis.core.riff.Tone;
import vocalis.core.score.Manner;
import vocalis.core.score.Onset;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

/** What rules make of a riff: common practice, no source. */
class OffersTest {

    private static final Catalogue CATALOGUE = new Catalogue();
    private static final Deriver DERIVER = new Deriver(CATALOGUE);

    private static Derived derived(Riff riff) {
        return DERIVER.derive(riff, Hand.MEDIUM);
    }

    private static List<Offer> made(Idea idea, Riff riff) {
        return Offer.playable(idea, derived(riff), CATALOGUE);
    }

    /** Over random riffs and progressions nothing that is offered is worse to play than before. */
    @ParameterizedTest
    @EnumSource(Idea.class)
    void nothingOfferedWorsensTheCheck(Idea idea) {
        Random r = new Random(idea.ordinal());
        List<Riff> riffs = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            riffs.add(Riffs.random(r));
        }
        for (int[] steps : new int[][] {{1, 6, 4, 5}, {1, 7, 6, 5}, {1, 2, 1, 7}}) {
            riffs.add(Riffs.repeating(steps));
            riffs.add(Riffs.repeating(steps).withGround(Riffs.ground("D phrygian")));
        }
        for (Riff riff : riffs) {
            Derived before = derived(riff);
            for (Offer o : made(idea, riff)) {
                Derived after = derived(o.riff());
                double longer = Math.max(1, (double) o.riff().length() / riff.length());
                assertThat(Check.of(after).size())
                        .as("%s of %s", o.setting(), riff)
                        .isLessThanOrEqualTo((int) Math.ceil(Check.of(before).size() * longer));
                assertThat(o.riff()).isNotEqualTo(riff);
            }
        }
    }

    /** Low strokes under the palm, dyads of the scale above them on the accents, roots first. */
    @Test
    void aPedalRiffHasALowStringAndDyadsOfTheScale() {
        List<Made> all = new ArrayList<>();
        for (String key : List.of("A minor", "G mixolydian", "D dorian", "E phrygian")) {
            Riff riff = Riffs.repeating(1, 6).withGround(Riffs.ground(key));
            all.addAll(Idea.PEDAL_RIFF.of(derived(riff), CATALOGUE));
        }
        assertThat(all).hasSizeGreaterThan(20);
        for (Made o : all) {
            Key key = o.riff().ground().key();
            var s = (Setting.Pedal) o.setting();
            Derived d = derived(o.riff());
            assertThat(d.chord(0).root()).isEqualTo(key.tonic().pitchClass());
            int open = d.score().board().midi(s.string(), 0) - key.tonic().pitchClass();
            assertThat(Math.floorMod(open, 12)).as("pedal over the tonic").isIn(0, 7);
            for (Onset on : d.score().onsets()) {
                boolean pedal = on.notes().size() == 1;
                if (pedal) {
                    assertThat(on.notes().get(0).string()).isEqualTo(s.string());
                    assertThat(on.notes().get(0).fret()).isZero();
                    assertThat(on.manner()).isEqualTo(Manner.PALM);
                } else {
                    assertThat(on.notes()).hasSize(2);
                    assertThat(on.notes().get(0).string()).isGreaterThan(s.string());
                }
            }
            for (Derived.Chord c : d.chords()) {
                assertThat(key.contains(c.root())).isTrue();
                assertThat(c.candidate().voicing().shape().highestFretted()).isLessThan(16);
                if (s.family() == Family.THIRD) {
                    assertThat(c.candidate().voicing().pitchClasses()).allMatch(key::contains);
                }
            }
        }
    }

    /** Neither E nor A is the first or fifth of G: there the open strings are no pedal. */
    @Test
    void aPedalIsTheTonicOrTheFifthOrNone() {
        Riff riff = Riffs.repeating(1, 7).withGround(Riffs.ground("G mixolydian"));
        assertThat(Idea.PEDAL_RIFF.of(derived(riff), CATALOGUE)).isEmpty();
    }

    /** The answer begins as the riff and ends elsewhere. */
    @Test
    void anAnswerKeepsAShareAndLandsElsewhere() {
        Riff riff = Riffs.repeating(1, 6, 4, 7);
        List<Made> all = Idea.ANSWER.of(derived(riff), CATALOGUE);
        assertThat(all).hasSize(2);
        for (Made o : all) {
            int kept = 4 * ((Setting.Kept) o.setting()).hundredths() / 100;
            assertThat(o.riff().roots()).hasSize(8);
            for (int i = 0; i < 4; i++) {
                assertThat(o.riff().roots().get(i)).isEqualTo(riff.roots().get(i));
                boolean same = o.riff().roots().get(4 + i).equals(riff.roots().get(i));
                assertThat(same).isEqualTo(i < kept);
            }
        }
    }

    /** A group of three eighths over two bars of four begins on other places of the bar. */
    @Test
    void groupsRunOverTheBarAndAreSetRight() {
        Riff riff = Riffs.repeating(1, 6, 4, 7);
        for (Made o : Idea.ACROSS_THE_BAR.of(derived(riff), CATALOGUE)) {
            var s = (Setting.Group) o.setting();
            long cycle = o.riff().pattern().cycle();
            assertThat(cycle).isEqualTo(s.bars() * Riffs.BAR);
            List<Long> heads = new ArrayList<>();
            for (Onset on : derived(o.riff()).score().onsets()) {
                if (on.at() < cycle && on.at() % (s.eighths() * Ticks.EIGHTH) == 0) {
                    heads.add(on.at() % Riffs.BAR);
                }
            }
            assertThat(heads.stream().distinct().count()).isGreaterThan(2);
        }
    }

    /** The stroke before a chord lies one fret from its lowest note, on its string. */
    @Test
    void anApproachIsASemitoneFromTheRoot() {
        Riff plain = Chords.familyOfAll(Riffs.repeating(1, 4, 7, 3), Family.POWER);
        Riff riff = plain.withGround(plain.ground().withTone(Tone.GAIN));
        for (Made o : Idea.APPROACH.of(derived(riff), CATALOGUE)) {
            int by = ((Setting.Semitone) o.setting()).from();
            Derived d = derived(o.riff());
            int seen = 0;
            for (int i = 0; i < 4; i++) {
                int first = d.score().firstFrom(d.chord(i).end());
                Onset last = d.score().onsets().get(first - 1);
                Voicing next = d.chord((i + 1) % 4).candidate().voicing();
                if (last.notes().size() == 1) {
                    int midi =
                            d.score()
                                    .board()
                                    .midi(last.notes().get(0).string(), last.notes().get(0).fret());
                    seen += midi - next.bass() == by ? 1 : 0;
                }
            }
            assertThat(seen).as("%s", o.setting()).isGreaterThanOrEqualTo(2);
        }
    }

    /** On a clean guitar only notes of the key lead into a root. */
    @Test
    void aCleanApproachKeepsToTheKey() {
        Riff riff = Chords.familyOfAll(Riffs.repeating(1, 4, 7, 3), Family.POWER);
        List<Integer> before = pitches(riff);
        int led = 0;
        for (Made o : Idea.APPROACH.of(derived(riff), CATALOGUE)) {
            for (int midi : pitches(o.riff())) {
                led += before.contains(midi) ? 0 : 1;
                assertThat(riff.ground().key().contains(midi)).isTrue();
            }
        }
        assertThat(led).isPositive();
    }

    private static List<Integer> pitches(Riff riff) {
        return derived(riff).score().notes().stream()
                .map(n -> riff.ground().board().midi(n.string(), n.fret()))
                .toList();
    }

    /** Groups of five and seven are for riffs that the palm drives; threes are for all. */
    @Test
    void longGroupsAreForRiffsUnderThePalm() {
        Riff driven = Riffs.repeating(1, 6, 4, 7);
        Riff rings =
                Riffs.on(Pattern.of(FigureText.of("r", "r", Ticks.QUARTER, "a a a a")), 1, 6, 4, 7);
        assertThat(groups(driven)).contains(3, 5, 7);
        assertThat(groups(rings)).containsOnly(3);
    }

    private static List<Integer> groups(Riff riff) {
        return Idea.ACROSS_THE_BAR.of(derived(riff), CATALOGUE).stream()
                .map(o -> ((Setting.Group) o.setting()).eighths())
                .toList();
    }

    /** A line thickened keeps its pitches: as the lower note, over a fourth as the upper. */
    @Test
    void aThickenedLineKeepsItsPitches() {
        Pattern line = Pattern.of(FigureText.of("l", "l", Ticks.EIGHTH, "1 3 4 5 4 3 1 1"));
        Riff riff = Riffs.on(line, 1, 1);
        List<Integer> before =
                derived(riff).score().notes().stream()
                        .map(n -> riff.ground().board().midi(n.string(), n.fret()))
                        .toList();
        List<Made> all = Idea.THICKEN.of(derived(riff), CATALOGUE);
        assertThat(all).hasSize(3);
        for (Made o : all) {
            Derived d = derived(o.riff());
            boolean over = ((Setting.Thick) o.setting()).family() == Family.FOURTH;
            List<Integer> after =
                    d.score().onsets().stream()
                            .map(on -> on.notes().get(over ? 1 : 0))
                            .map(n -> riff.ground().board().midi(n.string(), n.fret()))
                            .toList();
            assertThat(after).isEqualTo(before);
        }
    }

    /** Last bars: one short stroke, halves, quarters together, a bar longer. */
    @Test
    void lastBarsStopAsTheySay() {
        Riff riff = Riffs.repeating(1, 6, 4, 7);
        for (Made o : Idea.ENDING.of(derived(riff), CATALOGUE)) {
            Derived d = derived(o.riff());
            long from = 3 * Riffs.BAR;
            long strokes = d.score().onsets().stream().filter(x -> x.at() >= from).count();
            long asked =
                    switch ((Setting.Stop) o.setting()) {
                        case SHORT, LONGER -> 1;
                        case HALF_TIME -> 2;
                        case UNISON -> 4;
                    };
            assertThat(strokes).as("%s", o.setting()).isEqualTo(asked);
        }
        assertThat(Idea.CUT_AN_EIGHTH.of(derived(riff), CATALOGUE))
                .anySatisfy(
                        o -> assertThat(o.riff().length()).isEqualTo(4 * Riffs.BAR - Ticks.EIGHTH));
    }
}
