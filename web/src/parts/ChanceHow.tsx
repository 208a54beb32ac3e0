import { chanceText, type ChanceView } from '@yaylak/contract';
import { countText, fullDate, shortDate } from '../words/format';
import { contradictionText, signText } from '../words/carrying';
import { How } from './How';

/** How the probability that she carries came to be, sign by sign, and which signs contradict each other. */
export function ChanceHow({ tag, chance }: { readonly tag: string; readonly chance: ChanceView }) {
  return (
    <How of={`In young, ${tag}`}>
      <table>
        <tbody>
          {chance.story.map((s, i) => (
            <tr key={`${s.kind} ${s.on} ${i}`}>
              <td>
                {signText(s)}, {shortDate(s.on)}
              </td>
              <td>{chanceText(s.after)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {chance.contradictions.map((c, i) => (
        <p key={i}>
          <b>{contradictionText(c)}</b>
        </p>
      ))}
      <p>
        {countText(chance.story.length, 'thing is', 'things are')} known of it. Birth {shortDate(chance.birthFrom)} to{' '}
        {fullDate(chance.birthTo)}, if she carries.
      </p>
    </How>
  );
}
