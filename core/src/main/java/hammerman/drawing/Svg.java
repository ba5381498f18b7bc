package hammerman.drawing;

import java.io.StringWriter;
import java.util.Locale;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** Writes a drawing as SVG, one user unit being one millimetre, so that it prints at true scale. */
public final class Svg {
  private final XMLStreamWriter out;

  private Svg(XMLStreamWriter out) {
    this.out = out;
  }

  /** Returns a drawing as an SVG document. */
  public static String of(Drawing drawing) {
    StringWriter text = new StringWriter();
    try {
      new Svg(XMLOutputFactory.newInstance().createXMLStreamWriter(text)).write(drawing);
    } catch (XMLStreamException e) {
      throw new IllegalStateException("writing to memory failed", e);
    }
    return text.toString();
  }

  private void write(Drawing d) throws XMLStreamException {
    out.writeStartDocument("UTF-8", "1.0");
    out.writeStartElement("svg");
    out.writeDefaultNamespace("http://www.w3.org/2000/svg");
    out.writeAttribute("width", number(d.width()) + "mm");
    out.writeAttribute("height", number(d.height()) + "mm");
    out.writeAttribute("viewBox", "0 0 " + number(d.width()) + " " + number(d.height()));
    out.writeAttribute("font-family", "sans-serif");
    out.writeStartElement("title");
    out.writeCharacters(d.title());
    out.writeEndElement();
    for (Drawing.Mark mark : d.marks()) {
      write(mark);
    }
    out.writeEndElement();
    out.writeEndDocument();
    out.close();
  }

  private void write(Drawing.Mark mark) throws XMLStreamException {
    switch (mark) {
      case Drawing.Mark.Line l -> {
        begin("polyline", "points", points(l.xy()), "fill", "none");
        rim(l.thickness());
        attributes("stroke-dasharray", l.dashed() ? "3 1" : "none");
      }
      case Drawing.Mark.Box b -> {
        begin("rect", "x", number(b.x()), "y", number(b.y()), "width", number(b.width()));
        attributes("height", number(b.height()), "fill", "white");
        rim(b.thickness());
      }
      case Drawing.Mark.Circle c -> {
        begin("circle", "cx", number(c.x()), "cy", number(c.y()), "r", number(c.radius()));
        attributes("fill", "none");
        rim(c.thickness());
      }
      case Drawing.Mark.Words w -> {
        out.writeStartElement("text");
        attributes("x", number(w.x()), "y", number(w.y()), "font-size", number(w.size()));
        attributes("text-anchor", w.centred() ? "middle" : "start");
        out.writeCharacters(w.words());
        out.writeEndElement();
      }
    }
  }

  private static String points(double[] xy) {
    StringBuilder points = new StringBuilder();
    for (int k = 0; k + 1 < xy.length; k += 2) {
      points.append(k > 0 ? " " : "").append(number(xy[k])).append(',').append(number(xy[k + 1]));
    }
    return points.toString();
  }

  private void rim(double thickness) throws XMLStreamException {
    attributes("stroke", "black", "stroke-width", number(thickness));
  }

  private void begin(String name, String... attributes) throws XMLStreamException {
    out.writeEmptyElement(name);
    attributes(attributes);
  }

  private void attributes(String... attributes) throws XMLStreamException {
    for (int k = 0; k + 1 < attributes.length; k += 2) {
      out.writeAttribute(attributes[k], attributes[k + 1]);
    }
  }

  private static String number(double v) {
    return String.format(Locale.ROOT, "%.3f", v).replaceAll("\\.?0+$", "");
  }
}
