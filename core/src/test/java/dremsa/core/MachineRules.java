package dremsa.core;

import com.tngtech.archunit.core.domain.JavaCall;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.NullMarked;

/** Calls whose answer depends on the machine: its clock, its dice, its place, its language. */
public final class MachineRules {
  /** Moments are given, chance is given, zones are the household's. */
  public static final Set<String> CLOCK_DICE_AND_PLACE =
      Set.of(
          "java.time.Instant.now",
          "java.time.LocalDate.now",
          "java.time.LocalDateTime.now",
          "java.time.ZonedDateTime.now",
          "java.time.OffsetDateTime.now",
          "java.time.Clock.systemDefaultZone",
          "java.time.ZoneId.systemDefault",
          "java.util.TimeZone.getDefault",
          "java.lang.System.currentTimeMillis",
          "java.lang.System.nanoTime",
          "java.lang.Math.random",
          "java.util.Date.<init>()",
          "java.util.Random.<init>()");

  /** Without a locale these speak the machine's language. */
  public static final Set<String> LANGUAGE =
      Set.of(
          "java.util.Locale.getDefault",
          "java.lang.String.formatted",
          "java.lang.String.format(java.lang.String, [Ljava.lang.Object;)",
          "java.lang.String.toLowerCase()",
          "java.lang.String.toUpperCase()",
          "java.time.format.DateTimeFormatter.ofPattern(java.lang.String)",
          "java.text.NumberFormat.getInstance()",
          "java.text.DecimalFormat.<init>(java.lang.String)");

  private MachineRules() {}

  /** Calls one of them; with its parameters where only one of several forms is meant. */
  public static ArchCondition<JavaClass> ask(Set<String> calls) {
    return new ArchCondition<>("ask the machine") {
      @Override
      public void check(JavaClass type, ConditionEvents events) {
        Stream<JavaCall<?>> made =
            Stream.concat(
                type.getMethodCallsFromSelf().stream(),
                type.getConstructorCallsFromSelf().stream());
        for (JavaCall<?> call : made.toList()) {
          String name = call.getTargetOwner().getName() + "." + call.getTarget().getName();
          String whole = call.getTarget().getFullName();
          if (calls.contains(name) || calls.contains(whole)) {
            events.add(SimpleConditionEvent.satisfied(call, call.getDescription()));
          }
        }
      }
    };
  }

  /** Its package says that nothing is missing in it but what is marked so. */
  public static ArchCondition<JavaClass> standInAMarkedPackage() {
    return new ArchCondition<>("stand in a package marked @NullMarked") {
      @Override
      public void check(JavaClass type, ConditionEvents events) {
        boolean marked = type.getPackage().isAnnotatedWith(NullMarked.class);
        events.add(new SimpleConditionEvent(type, marked, type.getName()));
      }
    };
  }
}
