package vocalis.core.rhythm;

import java.util.Objects;

/**
 * The time that a riff is written on: its meters, its tempos, its pickup.
 *
 * @param meters meters and pickup
 * @param tempos tempos
 */
public record TimeLine(MeterMap meters, TempoMap tempos) {

    public TimeLine {
        Objects.requireNonNull(meters, "meters");
        Objects.requireNonNull(tempos, "tempos");
    }

    /** One meter and one tempo throughout. */
    public static TimeLine of(Meter meter, int tempo) {
        return new TimeLine(MeterMap.of(meter), TempoMap.of(tempo));
    }

    public TimeLine withMeters(MeterMap others) {
        return new TimeLine(others, tempos);
    }

    public TimeLine withTempos(TempoMap others) {
        return new TimeLine(meters, others);
    }
}
