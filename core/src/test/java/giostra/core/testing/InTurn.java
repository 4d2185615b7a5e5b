package giostra.core.testing;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
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
  /** Whose turn: 0, 1 or 2, so that each takes about as long. */
  int value();

  /** Asks whose turn it is. */
  final class Condition implements ExecutionCondition {
    @Override
    public ConditionEvaluationResult evaluateExecutionCondition(ExtensionContext context) {
      return context
          .getElement()
          .map(element -> element.getAnnotation(InTurn.class))
          .filter(turn -> !Runs.turn(turn.value()))
          .map(turn ->
              ConditionEvaluationResult.disabled(
                  "in turn " + turn.value() + " of " + Runs.TURNS + "; --deep runs it"))
          .orElseGet(() -> ConditionEvaluationResult.enabled("its turn"));
    }
  }
}
