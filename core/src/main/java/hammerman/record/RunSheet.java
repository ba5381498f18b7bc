package hammerman.record;

import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * What is written down of a run beside its log. What was not written down is not there.
 *
 * @param figures conditions that are figures, in the core's unit
 * @param words conditions in words
 * @param own conditions of the builder's own, by their names
 * @param results in the core's unit, typed or worked out from the log
 * @param log which channel of the log is what
 * @param photos names of picture files, which stay where they are
 */
public record RunSheet(
    Map<RunCondition, Double> figures,
    Map<RunCondition, String> words,
    Map<String, String> own,
    Map<RunResult, Double> results,
    List<Holds> log,
    List<String> photos) {
  /** The most photos that are named. */
  public static final int MOST_PHOTOS = 100;

  /** The most conditions of the builder's own. */
  public static final int MOST_OWN = 40;

  /** Nothing is written down. */
  public static final RunSheet NOTHING =
      new RunSheet(Map.of(), Map.of(), Map.of(), Map.of(), List.of(), List.of());

  /**
   * What a channel of the log holds.
   *
   * @param quantity by the name it has in a log's mapping
   * @param channel from 0
   * @param unit it is written in
   * @param negative whether discharge is written as negative
   */
  public record Holds(String quantity, int channel, Unit unit, boolean negative) {}

  public RunSheet {
    figures = ordered(figures);
    words = ordered(words);
    own = Collections.unmodifiableMap(new TreeMap<>(own));
    results = results.isEmpty() ? Map.of() : Collections.unmodifiableMap(new EnumMap<>(results));
    log = List.copyOf(log);
    photos = List.copyOf(photos);
    Valid.count("Photos", photos.size(), 0, MOST_PHOTOS);
    photos.forEach(name -> Valid.text("Name of a photo", name));
    figures.forEach(RunCondition::check);
    results.forEach(RunResult::check);
    Valid.count("Own conditions", own.size(), 0, MOST_OWN);
    own.forEach(
        (name, value) -> {
          Valid.text("Name of an own condition", name);
          Valid.text(name, value);
        });
    words.forEach((c, value) -> Valid.text(c.label(), value));
    if (figures.keySet().stream().anyMatch(c -> c.unit() == null)) {
      throw new InvalidValue(
          "Condition", figures.keySet().toString(), "words have no figure", "Write words.");
    }
  }

  private static <V> Map<RunCondition, V> ordered(Map<RunCondition, V> map) {
    return map.isEmpty() ? Map.of() : Collections.unmodifiableMap(new EnumMap<>(map));
  }

  /** Returns a condition that is a figure, if it is known. */
  public OptionalDouble figure(RunCondition c) {
    Double v = figures.get(c);
    return v == null ? OptionalDouble.empty() : OptionalDouble.of(v);
  }

  /** Returns a result, if it is known. */
  public OptionalDouble result(RunResult r) {
    Double v = results.get(r);
    return v == null ? OptionalDouble.empty() : OptionalDouble.of(v);
  }

  /** Whether another run was made on the same pack and wire, as far as that is written down. */
  public boolean isOnTheSame(RunSheet other) {
    return Objects.equals(words.get(RunCondition.PACK), other.words.get(RunCondition.PACK))
        && Objects.equals(words.get(RunCondition.WIRE), other.words.get(RunCondition.WIRE));
  }

  /** Returns this sheet with a figure, or without it. */
  public RunSheet withFigure(RunCondition c, @Nullable Double value) {
    return new RunSheet(
        changed(RunCondition.class, figures, c, value), words, own, results, log, photos);
  }

  /** Returns this sheet with a condition in words; an empty text takes it away. */
  public RunSheet withWords(RunCondition c, String value) {
    String kept = value.isBlank() ? null : value.strip();
    return new RunSheet(
        figures, changed(RunCondition.class, words, c, kept), own, results, log, photos);
  }

  /** Returns this sheet with a condition of the builder's own; an empty text takes it away. */
  public RunSheet withOwn(String name, String value) {
    Map<String, String> more = new TreeMap<>(own);
    if (value.isBlank()) {
      more.remove(name);
    } else {
      more.put(name, value.strip());
    }
    return new RunSheet(figures, words, more, results, log, photos);
  }

  /** Returns this sheet with a result, or without it. */
  public RunSheet withResult(RunResult r, @Nullable Double value) {
    return new RunSheet(
        figures, words, own, changed(RunResult.class, results, r, value), log, photos);
  }

  /** Returns this sheet with what its log holds. */
  public RunSheet withLog(List<Holds> holds) {
    return new RunSheet(figures, words, own, results, holds, photos);
  }

  /** Returns this sheet with the names of its photos. */
  public RunSheet withPhotos(List<String> names) {
    return new RunSheet(figures, words, own, results, log, names);
  }

  private static <K extends Enum<K>, V> Map<K, V> changed(
      Class<K> type, Map<K, V> map, K key, @Nullable V value) {
    Map<K, V> copy = new EnumMap<>(type);
    copy.putAll(map);
    if (value == null) {
      copy.remove(key);
    } else {
      copy.put(key, value);
    }
    return copy;
  }
}
