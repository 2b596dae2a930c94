package vocalis.formats.musicxml;

import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import vocalis.formats.FormatException;

/**
 * An element as it was read, with its place. Document types are passed over, so that neither
 * entities nor anything outside the file are ever looked at; depth and number are bounded.
 */
final class XmlElement {

    private static final int MOST_DEPTH = 40;
    private static final int MOST_ELEMENTS = 1_500_000;
    private static final int MOST_TEXT = 100_000;

    private final String name;
    private final int line;
    private final int column;
    private final Map<String, String> attributes = new LinkedHashMap<>();
    private final List<XmlElement> children = new ArrayList<>();
    private final StringBuilder text = new StringBuilder();

    private XmlElement(String name, int line, int column) {
        this.name = name;
        this.line = line;
        this.column = column;
    }

    /** Reads a document. */
    static XmlElement read(byte[] bytes) throws FormatException {
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        factory.setProperty(XMLInputFactory.IS_COALESCING, false);
        try {
            return read(factory.createXMLStreamReader(new ByteArrayInputStream(bytes)));
        } catch (XMLStreamException e) {
            int line = e.getLocation() == null ? 0 : e.getLocation().getLineNumber();
            int column = e.getLocation() == null ? 0 : e.getLocation().getColumnNumber();
            throw new FormatException(
                    "this is no well-formed XML (line "
                            + line
                            + ", column "
                            + column
                            + "); write the file again with the program that it comes from",
                    e);
        } catch (RuntimeException e) {
            // The platform's reader breaks on some malformed documents.
            throw new FormatException(
                    "this is no well-formed XML; write the file again with the program that it comes"
                            + " from",
                    e);
        }
    }

    private static XmlElement read(XMLStreamReader in) throws XMLStreamException, FormatException {
        List<XmlElement> open = new ArrayList<>();
        XmlElement root = null;
        int elements = 0;
        while (in.hasNext()) {
            switch (in.next()) {
                case XMLStreamConstants.START_ELEMENT -> {
                    XmlElement e =
                            new XmlElement(
                                    in.getLocalName(),
                                    in.getLocation().getLineNumber(),
                                    in.getLocation().getColumnNumber());
                    for (int i = 0; i < in.getAttributeCount(); i++) {
                        e.attributes.put(in.getAttributeLocalName(i), in.getAttributeValue(i));
                    }
                    if (open.isEmpty()) {
                        root = e;
                    } else {
                        open.get(open.size() - 1).children.add(e);
                    }
                    open.add(e);
                    if (open.size() > MOST_DEPTH || ++elements > MOST_ELEMENTS) {
                        throw e.wrong("is more than a score has: too deep or too long");
                    }
                }
                case XMLStreamConstants.END_ELEMENT -> open.remove(open.size() - 1);
                case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA -> {
                    XmlElement e = open.get(open.size() - 1);
                    if (e.text.length() < MOST_TEXT) {
                        e.text.append(in.getText());
                    }
                }
                default -> {}
            }
        }
        if (root == null) {
            throw new FormatException("the file holds no XML element");
        }
        return root;
    }

    String name() {
        return name;
    }

    List<XmlElement> children() {
        return children;
    }

    /** All children of a name. */
    List<XmlElement> all(String wanted) {
        List<XmlElement> found = new ArrayList<>();
        for (XmlElement c : children) {
            if (c.name.equals(wanted)) {
                found.add(c);
            }
        }
        return found;
    }

    /** The first child along a path of names. */
    Optional<XmlElement> find(String... path) {
        XmlElement at = this;
        for (String step : path) {
            XmlElement next = null;
            for (XmlElement c : at.children) {
                if (c.name.equals(step)) {
                    next = c;
                    break;
                }
            }
            if (next == null) {
                return Optional.empty();
            }
            at = next;
        }
        return Optional.of(at);
    }

    boolean has(String... path) {
        return find(path).isPresent();
    }

    /** The child of a name, which must be there. */
    XmlElement get(String wanted) throws FormatException {
        return find(wanted).orElseThrow(() -> wrong("lacks its <" + wanted + ">"));
    }

    String text() {
        return text.toString().strip();
    }

    Optional<String> attribute(String wanted) {
        return Optional.ofNullable(attributes.get(wanted));
    }

    boolean is(String attribute, String value) {
        return value.equals(attributes.get(attribute));
    }

    /** Its text as a whole number within bounds. */
    int integer(int least, int most) throws FormatException {
        try {
            int n = Integer.parseInt(text());
            if (n >= least && n <= most) {
                return n;
            }
        } catch (NumberFormatException e) {
            // Said below.
        }
        throw wrong(
                "must be a whole number from " + least + " to " + most + ", but is " + quoted());
    }

    /** Its text as a number within bounds. */
    double number(double least, double most) throws FormatException {
        try {
            double n = Double.parseDouble(text());
            if (n >= least && n <= most) {
                return n;
            }
        } catch (NumberFormatException e) {
            // Said below.
        }
        throw wrong("must be a number from " + least + " to " + most + ", but is " + quoted());
    }

    private String quoted() {
        String t = text();
        return "\"" + (t.length() > 40 ? t.substring(0, 40) + "…" : t) + "\"";
    }

    /** What is wrong with this element. */
    FormatException wrong(String what) {
        return new FormatException(
                "<" + name + "> in line " + line + ", column " + column + " " + what);
    }
}
