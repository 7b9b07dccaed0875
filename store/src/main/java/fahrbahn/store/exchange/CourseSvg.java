package fahrbahn.store.exchange;

import fahrbahn.core.table.Draft;
import fahrbahn.core.table.Outline;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.TextFile;
import fahrbahn.store.json.CourseJson;
import java.io.StringReader;
import java.nio.file.Path;
import java.util.Locale;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import javax.xml.stream.XMLStreamWriter;

/**
 * A course as an SVG drawing in mm, to print or cut; the course itself travels in the drawing's metadata, so that it opens again as
 * what it was.
 */
public final class CourseSvg {
    private static final String SVG = "http://www.w3.org/2000/svg";
    private static final String OURS = "fahrbahn-course";

    private CourseSvg() {}

    /** @param lineWidthMm above 0 @param darkLine whether the line is dark on light */
    public static String write(Draft draft, double lineWidthMm, boolean darkLine) {
        java.io.StringWriter text = new java.io.StringWriter();
        try {
            XMLStreamWriter xml = XMLOutputFactory.newFactory().createXMLStreamWriter(text);
            xml.writeStartDocument("UTF-8", "1.0");
            xml.setDefaultNamespace(SVG);
            xml.writeStartElement("svg");
            xml.writeDefaultNamespace(SVG);
            xml.writeAttribute("width", number(draft.widthMm()) + "mm");
            xml.writeAttribute("height", number(draft.heightMm()) + "mm");
            xml.writeAttribute("viewBox", "0 0 " + number(draft.widthMm()) + " " + number(draft.heightMm()));
            xml.writeStartElement("title");
            xml.writeCharacters(draft.name());
            xml.writeEndElement();
            xml.writeStartElement("metadata");
            xml.writeAttribute("id", OURS);
            xml.writeCharacters(CourseJson.write(draft));
            xml.writeEndElement();
            xml.writeEmptyElement("rect");
            xml.writeAttribute("width", number(draft.widthMm()));
            xml.writeAttribute("height", number(draft.heightMm()));
            xml.writeAttribute("fill", darkLine ? "#e4e1d8" : "#1d2023");
            for (Outline outline : Outline.of(draft, lineWidthMm)) {
                write(xml, outline, draft.heightMm(), darkLine);
            }
            xml.writeEndElement();
            xml.writeEndDocument();
            xml.close();
        } catch (XMLStreamException impossible) {
            throw new IllegalStateException("text in memory can be written", impossible);
        }
        return text.toString();
    }

    private static void write(XMLStreamWriter xml, Outline outline, double heightMm, boolean darkLine)
            throws XMLStreamException {
        StringBuilder points = new StringBuilder();
        for (int i = 0; i < outline.xMm().length; i++) {
            points.append(i == 0 ? "" : " ")
                    .append(number(outline.xMm()[i]))
                    .append(',')
                    .append(number(heightMm - outline.yMm()[i]));
        }
        xml.writeEmptyElement("polygon");
        xml.writeAttribute("points", points.toString());
        xml.writeAttribute("fill", colour(outline.kind(), darkLine));
    }

    private static String colour(Outline.Kind kind, boolean darkLine) {
        return switch (kind) {
            case LINE -> darkLine ? "#1d2023" : "#e4e1d8";
            case RAMP -> "#c3bda9";
            case BUMP -> "#aaa28a";
            case MARK -> "#7d4e99";
            case ENTRY -> "#f6f7f8";
            case STOP -> "#a8452a";
            case CREASE -> "#efece2";
            case OBSTACLE -> "#4f6b57";
        };
    }

    private static String number(double value) {
        String text = String.format(Locale.ROOT, "%.3f", value);
        return text.replaceAll("\\.?0+$", "");
    }

    /** @throws BadFileException when the drawing holds no course of ours, or a broken one */
    public static Draft read(Path file) throws BadFileException {
        String text = TextFile.read(file, "SVG drawing");
        try {
            return parse(text);
        } catch (BadFileException bad) {
            throw new BadFileException(file + ": " + bad.getMessage(), bad);
        }
    }

    /** The same from a text. */
    public static Draft parse(String svg) throws BadFileException {
        XMLInputFactory factory = XMLInputFactory.newFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        try {
            XMLStreamReader xml = factory.createXMLStreamReader(new StringReader(svg));
            while (xml.hasNext()) {
                boolean ours = xml.next() == XMLStreamConstants.START_ELEMENT
                        && xml.getLocalName().equals("metadata")
                        && OURS.equals(xml.getAttributeValue(null, "id"));
                if (ours) {
                    return CourseJson.parseDraft(xml.getElementText());
                }
            }
        } catch (XMLStreamException | RuntimeException broken) {
            throw new BadFileException("not an SVG drawing that can be read (" + broken.getMessage() + ")", broken);
        }
        throw new BadFileException(
                "a drawing without a course in it. Import it as a picture of a mat instead, or open a course saved here");
    }
}
