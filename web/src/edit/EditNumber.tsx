import { EditText, type EditProps } from './EditText';
import { parseNumber, showNumber, type Bounds } from './numbers';

interface Props extends Omit<EditProps<number>, 'parse' | 'show' | 'inputMode'> { bounds: Bounds }

/** A number edited where it stands. */
export function EditNumber({ bounds, ...props }: Props) {
  return <EditText<number> {...props} inputMode="decimal" show={showNumber} parse={(typed) => parseNumber(typed, bounds)} />;
}
