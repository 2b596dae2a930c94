package vocalis.formats.musicxml;

import java.io.ByteArrayOutputStream;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** Writes indented XML in UTF-8. */
final class XmlWriter {

    private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    private final XMLStreamWriter out;
    private int depth;

    XmlWriter(String doctype) {
        try {
            out = XMLOutputFactory.newDefaultFactory().createXMLStreamWriter(bytes, "UTF-8");
            out.writeStartDocument("UTF-8", "1.0");
            out.writeCharacters("\n");
            if (!doctype.isEmpty()) {
                out.writeDTD(doctype);
                out.writeCharacters("\n");
            }
        } catch (XMLStreamException e) {
            throw failed(e);
        }
    }

    private static IllegalStateException failed(XMLStreamException e) {
        return new IllegalStateException("XML is written to memory, which does not fail", e);
    }

    /** Begins an element; attributes by turns name and value. */
    XmlWriter open(String name, String... attributes) {
        try {
            indent();
            out.writeStartElement(name);
            attributes(attributes);
            out.writeCharacters("\n");
            depth++;
        } catch (XMLStreamException e) {
            throw failed(e);
        }
        return this;
    }

    XmlWriter close() {
        try {
            depth--;
            indent();
            out.writeEndElement();
            out.writeCharacters("\n");
        } catch (XMLStreamException e) {
            throw failed(e);
        }
        return this;
    }

    /** An element with text. */
    XmlWriter leaf(String name, Object text, String... attributes) {
        try {
            indent();
            out.writeStartElement(name);
            attributes(attributes);
            out.writeCharacters(clean(String.valueOf(text)));
            out.writeEndElement();
            out.writeCharacters("\n");
        } catch (XMLStreamException e) {
            throw failed(e);
        }
        return this;
    }

    /** An element without content. */
    XmlWriter empty(String name, String... attributes) {
        try {
            indent();
            out.writeEmptyElement(name);
            attributes(attributes);
            out.writeCharacters("\n");
        } catch (XMLStreamException e) {
            throw failed(e);
        }
        return this;
    }

    private void attributes(String... attributes) throws XMLStreamException {
        for (int i = 0; i < attributes.length; i += 2) {
            out.writeAttribute(attributes[i], clean(attributes[i + 1]));
        }
    }

    /** Without the control characters that XML 1.0 does not allow. */
    private static String clean(String text) {
        return text.replaceAll("[\\x00-\\x08\\x0B\\x0C\\x0E-\\x1F\\uFFFE\\uFFFF]", " ");
    }

    private void indent() throws XMLStreamException {
        out.writeCharacters("  ".repeat(depth));
    }

    byte[] bytes() {
        try {
            out.writeEndDocument();
            out.flush();
        } catch (XMLStreamException e) {
            throw failed(e);
        }
        return bytes.toByteArray();
    }
}
