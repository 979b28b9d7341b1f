import { logbox } from '../season/logbox';
import { useLog } from '../season/useLog';
import { plural } from '../words/sowing';

/** What was written down and is in danger: what the device could not store, and what the server did not take. */
export function LogTrouble({ season }: { season: number }) {
  const { waiting, refused } = useLog(season);
  return (
    <>
      {waiting.some(({ loose }) => loose) && (
        <p className="trouble" role="alert" data-part="loose">
          ▲ This device could not store what you wrote: it is full, or the browser keeps nothing. Leave this page open until it is
          sent.
        </p>
      )}
      {refused.length > 0 && (
        <div className="trouble" role="alert" data-part="refused">
          ▲ {refused.length} {plural(refused.length, 'entry', 'entries')} could not be kept by the server:
          <ul>
            {refused.map(({ n, entry, why }) => (
              <li key={n}>
                {entry ? `${entry.on}, ${entry.kind}` : 'a picture'}: {why}
              </li>
            ))}
          </ul>
          <button type="button" className="plain" onClick={() => void logbox.dismiss(refused)}>
            I have seen it
          </button>
        </div>
      )}
    </>
  );
}
