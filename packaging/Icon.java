import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.RoundRectangle2D;
import java.awt.image.BufferedImage;
import java.io.File;
import java.io.IOException;
import javax.imageio.ImageIO;

/**
 * Draws the program's icon at all sizes: four strings, a grip on three of them, its root in amber,
 * and an open string that rings. {@code java packaging/Icon.java FOLDER}
 */
public final class Icon {

    private static final int[] SIZES = {16, 22, 24, 32, 48, 64, 128, 256, 512};
    private static final Color BACK = new Color(0x20272e);
    private static final Color STRING = new Color(0x7d8b97);
    private static final Color INK = new Color(0xeef2f4);
    private static final Color ROOT = new Color(0xf4a64a);
    private static final Color OPEN = new Color(0x6cc5d9);

    /** Where the four strings lie, and where the fingers on three of them, as shares of the edge. */
    private static final double[] STRINGS = {0.215, 0.405, 0.595, 0.785};

    private static final double[] FINGERS = {0.35, 0.65, 0.65};

    private Icon() {}

    public static void main(String[] args) throws IOException {
        System.setProperty("java.awt.headless", "true");
        for (int size : SIZES) {
            File file = new File(args[0], size + ".png");
            ImageIO.write(draw(size), "png", file);
        }
    }

    private static BufferedImage draw(int size) {
        BufferedImage image = new BufferedImage(size, size, BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        g.scale(size, size);
        g.setColor(BACK);
        g.fill(new RoundRectangle2D.Double(0, 0, 1, 1, 0.36, 0.36));
        // Small icons need thicker strings to show them at all.
        double thick = Math.max(0.026, 1.0 / size);
        g.setStroke(line(thick));
        for (int s = 0; s < STRINGS.length; s++) {
            g.setColor(s == 3 ? OPEN : STRING);
            g.draw(new Line2D.Double(STRINGS[s], 0.16, STRINGS[s], 0.86));
        }
        g.setColor(INK);
        g.setStroke(line(0.075));
        for (int f = 0; f + 1 < FINGERS.length; f++) {
            g.draw(new Line2D.Double(STRINGS[f], FINGERS[f], STRINGS[f + 1], FINGERS[f + 1]));
        }
        for (int f = 0; f < FINGERS.length; f++) {
            g.setColor(f == 0 ? ROOT : INK);
            double radius = f == 0 ? 0.115 : 0.09;
            g.fill(circle(STRINGS[f], FINGERS[f], radius));
        }
        g.dispose();
        return image;
    }

    private static BasicStroke line(double width) {
        return new BasicStroke((float) width, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND);
    }

    private static Ellipse2D circle(double x, double y, double r) {
        return new Ellipse2D.Double(x - r, y - r, 2 * r, 2 * r);
    }
}
