package vocalis.sound.strings;

/**
 * Something soft that touches a string at one place: a thumb, the edge of a palm, a finger that
 * does not press.
 *
 * <p>Equation: a damping scattering junction of two ports (G. Evangelista and F. Eckerholm,
 * "Player-instrument interaction models for digital waveguide synthesis of guitar", IEEE TASLP
 * 2010; from memory). The string moves there as fast as the waves of both directions come to,
 * {@code o − l}, where l is turned over because the line holds the way after the nut without its
 * sign; a load R takes {@code δ = ρ(o − l)} from both, with {@code ρ = R/(2 + R)}. A partial that
 * has a node there has {@code o = l} and is not touched. One share of a frame is split between its
 * neighbours by g = (1, f − 1, −f); since {@code ρ·|g|² ≤ 2} nothing can grow.
 *
 * <p>One thread; no allocation after construction.
 */
final class Junction {

    /** Nearer to the bridge than this, there and back, the line is read before it is touched. */
    private static final double LEAST_FRAMES = 8;

    private int near;
    private int far;
    private double between;
    private double share;

    /**
     * Lies from now on at a place.
     *
     * @param delayFrames of the whole loop
     * @param apart frames of it that lie beyond, to the nut and back
     */
    void lie(double delayFrames, double apart) {
        near = Math.max(1, (int) Math.floor((delayFrames - apart) / 2));
        far = near + (int) Math.floor(apart);
        between = apart - Math.floor(apart);
        share = Damping.MATCHED;
    }

    /**
     * Lies from now on near the bridge or anywhere else. What is nearer than the line reaches, for
     * the loss and the stiffness lie at the bridge, lies a little farther and takes so much less
     * that the first partials fall alike, which lose as the square of the place.
     *
     * @param delayFrames of the line
     * @param periodFrames of the whole loop
     * @param place share of the length from the bridge, 0 to 1
     * @param takes what of the movement there it takes, 0 to {@link Damping#MATCHED}
     */
    void lieAt(double delayFrames, double periodFrames, double place, double takes) {
        double nearest = (periodFrames - delayFrames + LEAST_FRAMES) / periodFrames;
        double told = Math.max(place, nearest);
        lie(delayFrames, periodFrames * (1 - told));
        share = takes * place * place / (told * told);
    }

    /** Takes its share from a plane whose newest frame is {@code write}. */
    void scatter(Plane plane, int write) {
        int out = write - near;
        int back = write - far;
        double o = plane.at(out);
        double l = (1 - between) * plane.at(back) + between * plane.at(back - 1);
        double taken = share * (o - l);
        plane.write(out, o - taken);
        plane.write(back, plane.at(back) + (1 - between) * taken);
        plane.write(back - 1, plane.at(back - 1) + between * taken);
    }
}
