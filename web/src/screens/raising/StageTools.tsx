import type { StageProps } from './useStageEdit';
import s from './raising.module.css';

/** A stage moved, doubled or taken out. */
export function StageTools({ method, index, stage, change }: Pick<StageProps, 'method' | 'index' | 'stage' | 'change'>) {
  const { stages } = method;
  const swap = (by: number) => {
    const next = [...stages];
    const other = next[index + by];
    if (other === undefined) return;
    next[index + by] = stage;
    next[index] = other;
    change(next, `${stage.name} moved`);
  };
  // Where seed comes up, a container is named and days may wait for it: the first stage stays the first.
  const movable = (at: number) => at > 0 && at < stages.length;
  return (
    <p className={s.stageTools}>
      {movable(index) && movable(index - 1) && (
        <button type="button" className="plain" onClick={() => swap(-1)}>
          Move {stage.name} earlier
        </button>
      )}
      {movable(index) && movable(index + 1) && (
        <button type="button" className="plain" onClick={() => swap(1)}>
          Move {stage.name} later
        </button>
      )}
      {index > 0 && (
        <button
          type="button"
          className="plain"
          onClick={() =>
            change(
              [
                ...stages.slice(0, index + 1),
                { ...stage, name: `${stage.name}, again`, days: stage.days === 'rest' ? 7 : stage.days },
                ...stages.slice(index + 1),
              ],
              `${stage.name} doubled`,
            )
          }
        >
          Another like {stage.name}
        </button>
      )}
      {stages.length > 1 && index > 0 && (
        <button
          type="button"
          className="plain"
          data-action={`remove-stage-${index}`}
          onClick={() =>
            change(
              stages.filter((_, at) => at !== index),
              `${stage.name} taken out`,
            )
          }
        >
          Take {stage.name} out
        </button>
      )}
    </p>
  );
}
