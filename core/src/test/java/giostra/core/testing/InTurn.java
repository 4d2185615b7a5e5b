package giostra.core.testing;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.util.Arrays;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.extension.ConditionEvaluationResult;
import org.junit.jupiter.api.extension.ExecutionCondition;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.ExtensionContext;

/**
 * A test that takes long and looks at much of the same: a plain run of everything looks at it in
 * some turns of {@link Runs#TURNS}. By itself, and in a deep run, it is always run.
 */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
@ExtendWith(InTurn.Condition.class)
public @interface InTurn {
  /**
   * Each case of a parameterized test has a turn of its own, in their order, beginning at one that
   * goes by its name: the first cases of all of them do not fall into one.
   */
  int EACH_CASE = -1;

  /**
   * In which turns, from 0, so that each takes about as long; or {@link #EACH_CASE}. What matters
   * most has several.
   */
  int[] value();

  /** Asks whose turn it is. */
  final class Condition implements ExecutionCondition {
    private static final Pattern CASE = Pattern.compile("\\[test-template-invocation:#(\\d+)]$");

    @Override
    public ConditionEvaluationResult evaluateExecutionCondition(ExtensionContext context) {
      return context
          .getElement()
          .map(element -> element.getAnnotation(InTurn.class))
          .map(turn -> turns(turn, context.getUniqueId()))
          .filter(turns -> turns.length > 0 && IntStream.of(turns).noneMatch(Runs::turn))
          .map(turns ->
              ConditionEvaluationResult.disabled(
                  "in turn " + Arrays.toString(turns) + " of " + Runs.TURNS + "; --deep runs it"))
          .orElseGet(() -> ConditionEvaluationResult.enabled("its turn"));
    }

    /** The turns of a test or a case; the test around cases that have their own has none. */
    private static int[] turns(InTurn turn, String id) {
      if (turn.value()[0] != EACH_CASE) {
        return turn.value();
      }
      Matcher number = CASE.matcher(id);
      return number.find()
          ? new int[] {
            Math.floorMod(
                id.substring(0, number.start()).hashCode() + Integer.parseInt(number.group(1)),
                Runs.TURNS)
          }
          : new int[0];
    }
  }
}
