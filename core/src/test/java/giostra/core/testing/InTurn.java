package giostra.core.testing;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.extension.ConditionEvaluationResult;
import org.junit.jupiter.api.extension.ExecutionCondition;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.ExtensionContext;

/**
 * A test that takes long and looks at much of the same: a plain run of everything looks at it in
 * one turn of {@link Runs#TURNS}. By itself, and in a deep run, it is always run.
 */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
@ExtendWith(InTurn.Condition.class)
public @interface InTurn {
  /** Each case of a parameterized test has a turn of its own, in their order. */
  int EACH_CASE = -1;

  /** Whose turn: 0, 1 or 2, so that each takes about as long; or {@link #EACH_CASE}. */
  int value();

  /** Asks whose turn it is. */
  final class Condition implements ExecutionCondition {
    private static final Pattern CASE = Pattern.compile("\\[test-template-invocation:#(\\d+)]$");

    @Override
    public ConditionEvaluationResult evaluateExecutionCondition(ExtensionContext context) {
      return context
          .getElement()
          .map(element -> element.getAnnotation(InTurn.class))
          .map(turn -> turn.value() == EACH_CASE ? ofCase(context.getUniqueId()) : turn.value())
          .filter(turn -> turn != EACH_CASE && !Runs.turn(turn))
          .map(turn ->
              ConditionEvaluationResult.disabled(
                  "in turn " + turn % Runs.TURNS + " of " + Runs.TURNS + "; --deep runs it"))
          .orElseGet(() -> ConditionEvaluationResult.enabled("its turn"));
    }

    /** The number of a case, from 0; the test around the cases has none. */
    private static int ofCase(String id) {
      Matcher number = CASE.matcher(id);
      return number.find() ? Integer.parseInt(number.group(1)) - 1 : EACH_CASE;
    }
  }
}
