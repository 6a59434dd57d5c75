package smorgas.core.draw;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import javax.imageio.ImageIO;
import javax.imageio.stream.ImageOutputStream;
import javax.imageio.stream.MemoryCacheImageOutputStream;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/** A drawing as PNG (W3C, ISO/IEC 15948). Letters are drawn as outlines, so that no machine needs fonts of its own. */
public final class PngDrawing {

    /** So many pixels for one of the drawing, that it is sharp on dense screens and in print. */
    private static final int SCALE = 2;

    private final TrueTypeFont regular;
    private final TrueTypeFont bold;
    private final Graphics2D to;

    private PngDrawing(TrueTypeFont regular, TrueTypeFont bold, Graphics2D to) {
        this.regular = regular;
        this.bold = bold;
        this.to = to;
    }

    /** Writes it; the stream stays open. */
    public static void write(Drawing drawing, OutputStream to) {
        BufferedImage image = new BufferedImage(
                (int) Math.ceil(drawing.width() * SCALE),
                (int) Math.ceil(drawing.height() * SCALE),
                BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = image.createGraphics();
        try (TrueTypeFont regular = font(Fonts.regular());
                TrueTypeFont bold = font(Fonts.bold())) {
            graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
            graphics.scale(SCALE, SCALE);
            new PngDrawing(regular, bold, graphics).draw(drawing);
            // In memory: files are nobody's business here.
            try (ImageOutputStream out = new MemoryCacheImageOutputStream(to)) {
                ImageIO.write(image, "png", out);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            graphics.dispose();
        }
    }

    private static TrueTypeFont font(byte[] bytes) throws IOException {
        return new TTFParser().parse(new RandomAccessReadBuffer(bytes));
    }

    private void draw(Drawing drawing) throws IOException {
        fill(new Rectangle2D.Double(0, 0, drawing.width(), drawing.height()), Drawing.GROUND);
        for (Drawing.Shape shape : drawing.shapes()) {
            switch (shape) {
                case Drawing.Block block ->
                    fill(new Rectangle2D.Double(block.x(), block.y(), block.width(), block.height()), block.fill());
                case Drawing.Ribbon ribbon -> fill(path(ribbon), ribbon.fill());
                case Drawing.Letters letters -> letters(letters);
            }
        }
    }

    private void fill(java.awt.Shape shape, String colour) {
        to.setColor(Color.decode(colour));
        to.fill(shape);
    }

    private static Path2D path(Drawing.Ribbon ribbon) {
        double middle = ribbon.middle();
        Path2D path = new Path2D.Double();
        path.moveTo(ribbon.x1(), ribbon.y1());
        path.curveTo(middle, ribbon.y1(), middle, ribbon.y2(), ribbon.x2(), ribbon.y2());
        path.lineTo(ribbon.x2(), ribbon.y2() + ribbon.thick2());
        path.curveTo(
                middle,
                ribbon.y2() + ribbon.thick2(),
                middle,
                ribbon.y1() + ribbon.thick1(),
                ribbon.x1(),
                ribbon.y1() + ribbon.thick1());
        path.closePath();
        return path;
    }

    private void letters(Drawing.Letters letters) throws IOException {
        TrueTypeFont font = letters.bold() ? bold : regular;
        CmapLookup glyphs = font.getUnicodeCmapLookup();
        double scale = letters.size() / font.getUnitsPerEm();
        int[] ids = letters.text().codePoints().map(glyphs::getGlyphId).toArray();
        double width = 0;
        for (int id : ids) {
            width += font.getAdvanceWidth(id) * scale;
        }
        double x = letters.endsThere() ? letters.x() - width : letters.x();
        for (int id : ids) {
            AffineTransform place = new AffineTransform(scale, 0, 0, -scale, x, letters.y());
            var glyph = font.getGlyph().getGlyph(id);
            if (glyph != null) {
                fill(place.createTransformedShape(glyph.getPath()), letters.fill());
            }
            x += font.getAdvanceWidth(id) * scale;
        }
    }
}
