import { SetupPicker } from '../../page/SetupPicker';
import s from './ledger.module.css';

/** What the ledger is, and the files it can be taken home in. */
export function LedgerHead({ url }: { url: string }) {
  return (
    <div className="list-head">
      <div>
        <h1>The ledger</h1>
        <p className="quiet">
          The cost of each crop by kind. Every row and column adds up. Press an amount to see how it is worked out.
        </p>
        <div className="list-tools">
          <SetupPicker />
          <span className={s.files}>
            As{' '}
            <a className="plain" href={`${url}/workbook.xlsx`} download>
              a workbook (xlsx)
            </a>
            ,{' '}
            <a className="plain" href={`${url}/workbook.ods`} download>
              the same (ods)
            </a>
            ,{' '}
            <a className="plain" href={`${url}/ledger.csv`} download>
              a table (CSV)
            </a>
            ,{' '}
            <a className="plain" href={`${url}/result.json`} download>
              the result (JSON)
            </a>
          </span>
        </div>
      </div>
    </div>
  );
}
