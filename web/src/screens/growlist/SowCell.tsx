import { useAsk } from '../../page/AskContext';
import { failure, sowingLine, upper, warningWords } from '../../words/sowing';
import { LACKING, namedLine, type LineOfCrop } from './line';
import { SiteStrip } from './SiteStrip';
import s from './growlist.module.css';

/** How much to sow, or why nothing. */
export function SowCell({ line, reckoned }: { line: LineOfCrop; reckoned: number }) {
  const ask = useAsk();
  const { crop, result, us } = line;
  const { method, site } = line.facts;
  const { strip } = line.picture.line;
  const words = method === undefined ? '' : sowingLine(result, method, reckoned, site, us);
  return (
    <td className={s.lineSow} data-part="line-sow" data-head="How much to sow">
      {result.grown && strip !== null && method ? (
        <>
          <SiteStrip strip={strip} />
          <small>
            <button
              type="button"
              className="link"
              data-explain="seeds"
              aria-label={`${words} of ${namedLine(line)}`}
              onClick={() => ask({ figure: 'seeds', crop: crop.id })}
            >
              {words}
            </button>
            {crop.sow?.method === method.id && ', your choice'}
          </small>
        </>
      ) : (
        <small className={result.cost === null ? 'trouble' : undefined}>
          {result.cost === null ? `▲ ${upper(failure(result.warnings[0]))}` : 'nothing: bought as plants'}
        </small>
      )}
      {result.grown &&
        result.warnings
          .filter((code) => !(code in LACKING))
          .map((code) => (
            <small key={code} className="trouble">
              ▲ {warningWords(code)}
            </small>
          ))}
    </td>
  );
}
