package vocalis.core.rhythm;

import java.util.ArrayList;
import java.util.List;
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

    /**
     * The time of a stretch, its first tick at 0; a beginning between bar lines becomes a pickup.
     */
    public TimeLine between(long from, long to) {
        long first = meters.barLineFrom(from);
        List<Meter> bars = new ArrayList<>();
        for (int bar = meters.bar(Math.min(first, to));
                bars.isEmpty() || meters.start(bar) < to;
                bar++) {
            bars.add(meters.meter(bar));
        }
        long pickup = first - from;
        long room = bars.get(0).barTicks();
        MeterMap cut = MeterMap.ofBars(bars, pickup < room ? pickup : 0);
        List<TempoMap.Change> changes = new ArrayList<>();
        changes.add(new TempoMap.Change(0, tempos.at(from)));
        for (TempoMap.Change c : tempos.changes()) {
            if (c.at() > from && c.at() < to) {
                changes.add(new TempoMap.Change(c.at() - from, c.tempo()));
            }
        }
        return new TimeLine(cut, new TempoMap(changes));
    }
}
