import { type Dial, numbersPerTurn } from '@whelk/core/lathe';
import { TextField } from '../../../ui/number-field/TextField.tsx';

/** A number to be read off a ring. */
export function RingField({
  reads,
  dial,
  ...field
}: { reads: string; dial: Dial } & Pick<
  React.ComponentProps<typeof TextField>,
  'value' | 'problem' | 'onChange' | 'data'
>) {
  return (
    <TextField
      {...field}
      label={`${reads}, ${dial.unit}`}
      note={`0 to ${numbersPerTurn(dial).toString()}`}
      inputClass="h-14 text-2xl font-bold"
      inputMode="decimal"
    />
  );
}
