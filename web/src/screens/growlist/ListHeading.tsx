import { Help } from '../../words/Help';

/** The list's columns, and the box that chooses every line. */
export function ListHeading({ all, chooseAll }: { all: boolean; chooseAll: () => void }) {
  return (
    <thead>
      <tr>
        <th>
          <input type="checkbox" aria-label="Choose all" checked={all} onChange={chooseAll} />
        </th>
        <th scope="col">Crop</th>
        <th scope="col">Wanted</th>
        <th scope="col">Packet</th>
        <th scope="col">How much to sow</th>
        <th scope="col">
          Chance
          <Help term="chance" />
        </th>
        <th scope="col">
          Cost each
          <Help term="finished" />
        </th>
        <th scope="col">
          Verdict
          <Help term="verdict" />
        </th>
        <th>
          <span className="hidden">More</span>
        </th>
      </tr>
    </thead>
  );
}
