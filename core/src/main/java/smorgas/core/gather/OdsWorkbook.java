package smorgas.core.gather;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import smorgas.core.gather.Reading.Format;
import smorgas.core.text.Message;

/** A workbook in OpenDocument (ISO/IEC 26300), read row by row from its content.xml. */
final class OdsWorkbook extends Workbook {

    static final WorkbookFormat FORMAT = new WorkbookFormat(part -> part.equals("content.xml"), OdsWorkbook::new);

    /** Repeated rows and cells that hold something are written out this often at most. */
    private static final int MOST_REPEATS = 1_000;

    private static final String TABLE = "urn:oasis:names:tc:opendocument:xmlns:table:1.0";
    private static final String OFFICE = "urn:oasis:names:tc:opendocument:xmlns:office:1.0";

    private final byte[] bytes;
    private final Problems problems;

    OdsWorkbook(byte[] bytes, Problems problems) throws Unreadable {
        super(Format.ODS);
        this.bytes = bytes;
        this.problems = problems;
        try {
            read(this::sheet, (sheet, line, cells) -> filled(sheet), "");
        } catch (XMLStreamException | IOException e) {
            throw new Unreadable(
                    Message.of("gather.ods-workbook.workbook-damaged", where(e)),
                    Message.of("gather.ods-workbook.open-spreadsheet-program-save"));
        }
        if (sheets().isEmpty()) {
            throw new Unreadable(
                    Message.of("gather.ods-workbook.workbook-sheet"),
                    Message.of("gather.ods-workbook.nothing-read-may-password"));
        }
    }

    @FunctionalInterface
    private interface SheetSink {
        void row(String sheet, int line, String[] cells);
    }

    @Override
    public void close() {
        // Nothing is kept open between two readings.
    }

    @Override
    RowSource rows(String wanted) {
        return sink -> {
            try {
                read(sheet -> {}, (sheet, line, cells) -> sink.row(line, cells), wanted);
            } catch (XMLStreamException | IOException e) {
                problems.add(
                        0,
                        Message.of("gather.ods-workbook.workbook-damaged", where(e)),
                        Message.of("gather.ods-workbook.what-could-read-gathered"));
            }
        };
    }

    private static Message where(Exception fault) {
        return fault instanceof XMLStreamException xml && xml.getLocation() != null
                ? Message.of(
                        "gather.ods-workbook.line-content-xml",
                        xml.getLocation().getLineNumber())
                : Message.NONE;
    }

    /** Reads the sheet wanted, or all if none is named. */
    private void read(Consumer<String> sheets, SheetSink sink, String wanted) throws XMLStreamException, IOException {
        try (ZipParts zip = new ZipParts(bytes);
                InputStream in = zip.open("content.xml")) {
            XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
            // No document type, so no entities from elsewhere and none that multiply.
            factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
            factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
            XMLStreamReader xml = factory.createXMLStreamReader(in);
            String sheet = "";
            int line = 1;
            while (xml.hasNext()) {
                if (xml.next() == XMLStreamConstants.START_ELEMENT && TABLE.equals(xml.getNamespaceURI())) {
                    if (xml.getLocalName().equals("table")) {
                        sheet = String.valueOf(xml.getAttributeValue(TABLE, "name"));
                        sheets.accept(sheet);
                        line = 1;
                    } else if (xml.getLocalName().equals("table-row")) {
                        int repeated = repeated(xml, "number-rows-repeated");
                        String[] cells = row(xml);
                        for (int i = 0; i < Math.min(repeated, MOST_REPEATS) && cells.length > 0; i++) {
                            if (wanted.isEmpty() || wanted.equals(sheet)) {
                                sink.row(sheet, line + i, cells);
                            }
                        }
                        line += repeated;
                    }
                }
            }
        }
    }

    private static int repeated(XMLStreamReader xml, String attribute) {
        String repeated = xml.getAttributeValue(TABLE, attribute);
        try {
            return repeated == null ? 1 : Math.max(1, Integer.parseInt(repeated));
        } catch (NumberFormatException e) {
            return 1;
        }
    }

    /** The cells of the row that the reader stands on, up to the last that holds something. */
    private static String[] row(XMLStreamReader xml) throws XMLStreamException {
        List<String> cells = new ArrayList<>();
        int filled = 0;
        while (xml.hasNext()) {
            int event = xml.next();
            if (event == XMLStreamConstants.END_ELEMENT && xml.getLocalName().equals("table-row")) {
                break;
            }
            if (event == XMLStreamConstants.START_ELEMENT
                    && (xml.getLocalName().equals("table-cell")
                            || xml.getLocalName().equals("covered-table-cell"))) {
                int repeated = Math.min(repeated(xml, "number-columns-repeated"), MOST_REPEATS);
                String text = cell(xml);
                for (int i = 0; i < repeated && cells.size() < MOST_REPEATS; i++) {
                    cells.add(text);
                }
                filled = text.isBlank() ? filled : cells.size();
            }
        }
        return cells.subList(0, filled).toArray(String[]::new);
    }

    private static String cell(XMLStreamReader xml) throws XMLStreamException {
        String name = xml.getLocalName();
        String value = xml.getAttributeValue(OFFICE, "value");
        StringBuilder text = new StringBuilder();
        while (xml.hasNext()) {
            int event = xml.next();
            if (event == XMLStreamConstants.END_ELEMENT && xml.getLocalName().equals(name)) {
                break;
            }
            if (event == XMLStreamConstants.CHARACTERS || event == XMLStreamConstants.CDATA) {
                text.append(xml.getText());
            } else if (event == XMLStreamConstants.START_ELEMENT
                    && xml.getLocalName().equals("s")) {
                text.append(' ');
            }
        }
        return value == null ? text.toString() : value;
    }
}
