package hammerman.project;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import hammerman.unit.In;
import hammerman.unit.Unit;
import java.lang.reflect.RecordComponent;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Arrays;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.PropertyNamingStrategy;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.cfg.MapperConfig;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.introspect.Annotated;
import tools.jackson.databind.introspect.AnnotatedClass;
import tools.jackson.databind.introspect.AnnotatedField;
import tools.jackson.databind.introspect.AnnotatedMember;
import tools.jackson.databind.introspect.AnnotatedMethod;
import tools.jackson.databind.introspect.AnnotatedParameter;
import tools.jackson.databind.introspect.JacksonAnnotationIntrospector;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.ser.std.StdSerializer;

/**
 * How records become JSON: a component marked {@link In} is written in that unit under its name and
 * the unit's key; sealed types carry their case in {@code kind}; everything not marked nullable is
 * required.
 */
final class JsonMapping {
  /** Digits of a stored value: enough for any reading, few enough to hide binary tails. */
  private static final int USUAL_DIGITS = 12;

  /** Digits that tell any two doubles apart. */
  private static final int ALL_DIGITS = 17;

  static final JsonMapper MAPPER =
      JsonMapper.builder()
          .annotationIntrospector(new Introspector())
          .propertyNamingStrategy(new UnitNames())
          .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
          .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
          .disable(MapperFeature.ALLOW_COERCION_OF_SCALARS)
          .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
          .disable(MapperFeature.SORT_PROPERTIES_ALPHABETICALLY)
          .enable(SerializationFeature.INDENT_OUTPUT)
          .changeDefaultPropertyInclusion(v -> v.withValueInclusion(JsonInclude.Include.NON_NULL))
          .build();

  private JsonMapping() {}

  /**
   * Returns a value as files hold it: with the usual digits if they are read as the same value
   * again, as all that was typed is, or else with as many as it takes.
   *
   * @param core in the core's unit
   */
  static BigDecimal stored(double core, Unit unit) {
    double value = unit.fromCore(core);
    for (int digits = USUAL_DIGITS; digits <= ALL_DIGITS; digits++) {
      // Turning the unit and back may end at a neighbour.
      for (double near : new double[] {value, Math.nextUp(value), Math.nextDown(value)}) {
        BigDecimal shown = rounded(near, digits);
        if (unit.toCore(shown.doubleValue()) == core) {
          return shown;
        }
      }
    }
    return rounded(value, USUAL_DIGITS);
  }

  private static BigDecimal rounded(double value, int digits) {
    BigDecimal shown = new BigDecimal(value).round(new MathContext(digits)).stripTrailingZeros();
    return shown.scale() < 0 ? shown.setScale(0) : shown;
  }

  private static @Nullable Unit unitOf(Annotated a) {
    In in = a.getAnnotation(In.class);
    return in == null ? null : in.value();
  }

  /** Adds the unit's key to a name. */
  private static final class UnitNames extends PropertyNamingStrategy {
    private static String named(Annotated a, String name) {
      Unit unit = unitOf(a);
      return unit == null ? name : name + "_" + unit.key();
    }

    @Override
    public String nameForField(MapperConfig<?> config, AnnotatedField f, String name) {
      return named(f, name);
    }

    @Override
    public String nameForGetterMethod(MapperConfig<?> config, AnnotatedMethod m, String name) {
      return named(m, name);
    }

    @Override
    public String nameForConstructorParameter(
        MapperConfig<?> config, AnnotatedParameter p, String name) {
      return named(p, name);
    }
  }

  /** Reads the core's own marks: units, sealed types, nullable components. */
  private static final class Introspector extends JacksonAnnotationIntrospector {
    @Override
    public @Nullable Object findSerializer(MapperConfig<?> config, Annotated a) {
      Unit unit = unitOf(a);
      return unit == null ? super.findSerializer(config, a) : new UnitWriter(unit);
    }

    @Override
    public @Nullable Object findDeserializer(MapperConfig<?> config, Annotated a) {
      In in = a.getAnnotation(In.class);
      return in == null ? super.findDeserializer(config, a) : new UnitReader(in);
    }

    @Override
    public JsonTypeInfo.@Nullable Value findPolymorphicTypeInfo(
        MapperConfig<?> config, Annotated a) {
      Class<?> raw = a.getRawType();
      boolean sealedCase =
          raw != null
              && raw.getName().startsWith("hammerman.")
              && (raw.isSealed() || Arrays.stream(raw.getInterfaces()).anyMatch(Class::isSealed));
      return sealedCase && a instanceof AnnotatedClass
          ? JsonTypeInfo.Value.construct(
              JsonTypeInfo.Id.NAME, JsonTypeInfo.As.PROPERTY, "kind", null, false, true, false)
          : super.findPolymorphicTypeInfo(config, a);
    }

    @Override
    public String findTypeName(MapperConfig<?> config, AnnotatedClass a) {
      String simple = a.getRawType().getSimpleName();
      return simple.substring(0, 1).toLowerCase(Locale.ROOT) + simple.substring(1);
    }

    @Override
    public @Nullable Boolean hasRequiredMarker(MapperConfig<?> config, AnnotatedMember m) {
      if (m instanceof AnnotatedParameter p && m.getDeclaringClass().isRecord()) {
        RecordComponent c = m.getDeclaringClass().getRecordComponents()[p.getIndex()];
        In in = c.getAnnotation(In.class);
        return !c.getAnnotatedType().isAnnotationPresent(Nullable.class)
            && (in == null || !in.orZero());
      }
      return super.hasRequiredMarker(config, m);
    }
  }

  private static final class UnitWriter extends StdSerializer<Double> {
    private final Unit unit;

    UnitWriter(Unit unit) {
      super(Double.class);
      this.unit = unit;
    }

    @Override
    public void serialize(Double core, JsonGenerator out, SerializationContext context) {
      out.writeNumber(stored(core, unit));
    }
  }

  private static final class UnitReader extends StdDeserializer<Double> {
    private final Unit unit;
    private final boolean orZero;

    UnitReader(In in) {
      super(Double.class);
      unit = in.value();
      orZero = in.orZero();
    }

    @Override
    public @Nullable Double getAbsentValue(DeserializationContext context) {
      return orZero ? unit.toCore(0) : null;
    }

    @Override
    public Double deserialize(JsonParser in, DeserializationContext context) {
      if (!in.currentToken().isNumeric()) {
        return (Double) context.handleUnexpectedToken(getValueType(context), in);
      }
      return unit.toCore(in.getDoubleValue());
    }
  }
}
