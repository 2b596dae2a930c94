package vocalis.desktop.lane;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Where the lane's strings and words lie: no palm mute mark and no lowest string is cut. */
class LaneGeometryTest {

    @Test
    void marksUnderTheLowestStringHaveRoom() {
        for (int strings = 4; strings <= 9; strings++) {
            double gap = strings % 2 == 0 ? LaneGeometry.GAP : LaneGeometry.MOST_GAP;
            var axis = vocalis.desktop.view.TimeAxis.of(1280, 0, 1000);
            LaneGeometry g = new LaneGeometry(axis, strings, LaneGeometry.TOP, gap);
            assertThat(g.y(0)).isLessThan(g.stemTop());
            // Words are 12 high and centred, the palm's line lies 8 below them.
            assertThat(g.words() + 8 + 2).isLessThanOrEqualTo(LaneGeometry.height(strings, gap));
        }
    }
}
