import { chanceText, type ChanceView, say } from '@yaylak/contract';
import { fullDate, shortDate } from '../words/dates';
import { contradictionText, signText } from '../words/carrying';
import { How } from './How';

/** How the probability that she carries came to be, sign by sign, and which signs contradict each other. */
export function ChanceHow({ tag, chance }: { readonly tag: string; readonly chance: ChanceView }) {
  return (
    <How of={say('In young, {tag}', { tag })}>
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
        {say(
          '{n} {n, plural, one {thing is} other {things are}} known of it. Birth {date} to {date2}, if she carries.',
          { n: chance.story.length, date: shortDate(chance.birthFrom), date2: fullDate(chance.birthTo) },
        )}
      </p>
    </How>
  );
}
