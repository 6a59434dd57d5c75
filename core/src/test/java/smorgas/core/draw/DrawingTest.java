package smorgas.core.draw;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.List;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.w3c.dom.Element;

/** Drawings as files, read by the parsers of the JDK. */
class DrawingTest {

    private static final String HOSTILE = "</text><script>alert('x')</script>\u0001&\"";

    private static Drawing drawing() {
        return new Drawing(
                "Title " + HOSTILE,
                "Tells",
                200,
                100,
                List.of(
                        new Drawing.Block(0, 0, 50, 100, "#ff0000"),
                        new Drawing.Ribbon(50, 0, 20, 150, 60, 40, "#00ff00"),
                        new Drawing.Letters(160, 50, 20, true, false, "ΩЖ" + HOSTILE, "#0000ff")));
    }

    private static Document svg() throws Exception {
        StringWriter text = new StringWriter();
        SvgDrawing.write(drawing(), text);
        return DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new ByteArrayInputStream(text.toString().getBytes(StandardCharsets.UTF_8)));
    }

    @Test
    void nothingThatIsWrittenInAPictureIsMoreThanText() throws Exception {
        Document svg = svg();
        assertThat(svg.getElementsByTagName("script").getLength()).isZero();
        String written = HOSTILE.replace("\u0001", "");
        assertThat(svg.getElementsByTagName("text").item(0).getTextContent()).isEqualTo("ΩЖ" + written);
        assertThat(svg.getElementsByTagName("title").item(0).getTextContent()).isEqualTo("Title " + written);
    }

    @Test
    void shapesStandWhereTheyAreDrawn() throws Exception {
        Document svg = svg();
        Element ground = (Element) svg.getElementsByTagName("rect").item(0);
        assertThat(ground.getAttribute("fill")).isEqualTo(Drawing.GROUND);
        // From the upper left corner to the right and down, back, and closed.
        assertThat(((Element) svg.getElementsByTagName("path").item(0)).getAttribute("d"))
                .isEqualTo("M50.0,0.0C100.0,0.0 100.0,60.0 150.0,60.0V100.0C100.0,100.0 100.0,20.0 50.0,20.0Z");
    }

    @Test
    void aPictureOfPixelsHasTheSameShapesTwiceAsLarge() throws IOException {
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        PngDrawing.write(drawing(), png);
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(png.toByteArray()));
        assertThat(List.of(image.getWidth(), image.getHeight())).containsExactly(400, 200);
        assertThat(colour(image, 25, 50)).isEqualTo("ff0000");
        assertThat(colour(image, 52, 10)).isEqualTo("00ff00");
        assertThat(colour(image, 148, 80)).isEqualTo("00ff00");
        assertThat(colour(image, 148, 20)).isEqualTo(Drawing.GROUND.substring(1));
        long letters = 0;
        for (int x = 320; x < 400; x++) {
            for (int y = 60; y < 110; y++) {
                letters += colour(image, x / 2.0, y / 2.0).equals("0000ff") ? 1 : 0;
            }
        }
        assertThat(letters).isGreaterThan(100);
    }

    private static String colour(BufferedImage image, double x, double y) {
        return String.format("%06x", image.getRGB((int) (2 * x), (int) (2 * y)) & 0xffffff);
    }

    @Test
    void aNameIsWrittenInLinesOfWholeWordsOrNotAtAll() {
        assertThat(Drawing.lines("bee hive for sale", 8)).containsExactly("bee hive", "for sale");
        assertThat(Drawing.lines("bee hive", 20)).containsExactly("bee hive");
        assertThat(Drawing.lines("a beekeeping suit", 8)).isEmpty();
    }
}
