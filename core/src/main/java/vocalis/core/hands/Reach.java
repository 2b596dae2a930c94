package vocalis.core.hands;

import vocalis.core.instrument.Fretboard;

/** How far a hand reaches in each place of a neck, reckoned once. */
final class Reach {

    private static final int NOWHERE = 1000;

    private final Fretboard board;
    private final int widest;
    private final double[][] mm;
    private final double[][] ease;
    private final int[] lowest;

    /** The first fret of the lower of two fingers from which they reach a span. */
    private final int[][][] ofTwo = new int[5][5][];

    Reach(Fretboard board, Hand hand) {
        this.board = board;
        int frets = board.frets();
        mm = new double[frets + 1][];
        ease = new double[frets + 1][];
        lowest = new int[frets];
        for (int place = 0; place <= frets; place++) {
            mm[place] = new double[frets - place + 1];
            ease[place] = new double[frets - place + 1];
            for (int span = 0; span <= frets - place; span++) {
                mm[place][span] = place == 0 ? 0 : board.spanMm(place, place + span);
                ease[place][span] = Fingering.ease(mm[place][span], hand);
            }
        }
        int most = 0;
        for (int span = 0; span < frets; span++) {
            int place = 1;
            while (place + span <= frets && !hand.withinReach(board, place, place + span)) {
                place++;
            }
            lowest[span] = place;
            most = place + span <= frets ? span : most;
        }
        widest = most;
        for (int a = 1; a <= 4; a++) {
            for (int b = 1; b <= 4; b++) {
                ofTwo[a][b] = new int[frets + 1];
                for (int span = 0; span <= frets; span++) {
                    int place = 1;
                    while (place + span <= frets && mm[place][span] > hand.limitMm(a, b)) {
                        place++;
                    }
                    ofTwo[a][b][span] = place + span <= frets ? place : NOWHERE;
                }
            }
        }
    }

    /** Frets of the neck. */
    int frets() {
        return board.frets();
    }

    /** Most frets from the lowest to the highest that are reached anywhere. */
    int widest() {
        return widest;
    }

    /** Distance in mm of a span from a place up. */
    double mm(int place, int span) {
        return mm[place][span];
    }

    /** Effort of it. */
    double ease(int place, int span) {
        return ease[place][span];
    }

    /** The first place where a span is reached; past the neck where it is nowhere. */
    int lowestPlace(int span) {
        return lowest[span];
    }

    /** The first place where all fingers of a hold reach; past the neck where they do nowhere. */
    int lowestPlace(Hold h) {
        int place = 1;
        int[] fingers = h.fingers();
        for (int i = 0; i < fingers.length; i++) {
            int low = h.runs().get(i).fret();
            for (int j = i + 1; j < fingers.length; j++) {
                int span = h.runs().get(j).fret() - low;
                place = Math.max(place, ofTwo[fingers[i]][fingers[j]][span] - low + 1);
            }
        }
        return place;
    }
}
