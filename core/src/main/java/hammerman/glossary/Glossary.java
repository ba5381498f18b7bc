package hammerman.glossary;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** The words of the field, as they ship: a line each, “name; other names | meaning”. */
public final class Glossary {
  private static final List<Entry> ENTRIES = read();

  /** A term with what finds it in a text. */
  private record Entry(Term term, Pattern pattern) {}

  private Glossary() {}

  /** Returns all terms by their names. */
  public static List<Term> all() {
    return ENTRIES.stream().map(Entry::term).toList();
  }

  /** Returns the terms that a text uses, in the order of their names. */
  public static List<Term> of(String text) {
    return ENTRIES.stream().filter(e -> e.pattern().matcher(text).find()).map(Entry::term).toList();
  }

  /** Returns the term that says most of a label: the one with the longest name in it. */
  public static Optional<Term> best(String label) {
    return of(label).stream().max(Comparator.comparingInt(t -> found(t, label)));
  }

  private static int found(Term term, String label) {
    String words = label.toLowerCase(Locale.ROOT);
    return names(term)
        .filter(n -> words.contains(n.toLowerCase(Locale.ROOT)))
        .mapToInt(String::length)
        .max()
        .orElse(0);
  }

  private static Stream<String> names(Term term) {
    return Stream.concat(Stream.of(term.name()), term.others().stream());
  }

  private static List<Entry> read() {
    String resource = "glossary.txt";
    try (InputStream in =
        Objects.requireNonNull(Glossary.class.getResourceAsStream(resource), resource)) {
      List<Entry> entries = new ArrayList<>();
      new String(in.readAllBytes(), StandardCharsets.UTF_8)
          .lines()
          .filter(line -> !line.isBlank() && !line.startsWith("#"))
          .forEach(line -> entries.add(entry(line)));
      entries.sort(Comparator.comparing(e -> e.term().name().toLowerCase(Locale.ROOT)));
      return List.copyOf(entries);
    } catch (IOException e) {
      throw new UncheckedIOException(resource, e);
    }
  }

  private static Entry entry(String line) {
    int bar = line.indexOf('|');
    if (bar < 0) {
      throw new IllegalArgumentException("glossary line without a meaning: " + line);
    }
    List<String> names =
        Stream.of(line.substring(0, bar).split(";", -1)).map(String::strip).toList();
    Term term =
        new Term(names.getFirst(), names.subList(1, names.size()), line.substring(bar + 1).strip());
    // Whole words, with or without an s; short ones in capitals as they stand.
    String any =
        String.join(
            "|",
            names.stream()
                .map(
                    n ->
                        n.equals(n.toUpperCase(Locale.ROOT))
                            ? "(?-i:" + Pattern.quote(n) + ")"
                            : Pattern.quote(n))
                .toList());
    return new Entry(
        term,
        Pattern.compile(
            "(?<![\\p{L}\\d])(?:" + any + ")s?(?![\\p{L}\\d])",
            Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE));
  }
}
