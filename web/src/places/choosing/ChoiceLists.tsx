import { useQuery } from '@tanstack/react-query';
import type { ChoosingSet, DraftDecision } from '@yaylak/contract';
import { useSearchParams } from 'react-router';
import { choosingQuery, choosingSetsQuery, queryOf } from '../../api/choosing';
import { holdingQuery } from '../../api/queries';
import { LineTable } from '../../parts/LineTable';
import { PaperHead } from '../../parts/PaperHead';
import { PaperSheet } from '../../parts/PaperSheet';
import { Empty, Failed, Loading } from '../../parts/States';
import { DRAFT_DECISION_WORDS, setWords } from '../../words/choosing';
import { fullDate } from '../../words/dates';
import { bornText, weightText } from '../../words/format';
import { reservedText } from '../../words/reserved';
import { useWeightUnit } from '../../words/useHolding';
import { daysLeftText } from '../../words/withheld';
import { choosable, decisionOf, idOf, type Choosable } from './decisions';
import { isNamed } from './setKey';
import { say, lower } from '@yaylak/contract';

const LISTS: readonly DraftDecision[] = ['keep', 'second', 'sell', 'cull'];

/** The choice as lists for paper: who stays, the second string, who is sold or culled, with every number they wear. */
export function ChoiceLists() {
  const [params] = useSearchParams();
  const sets = useQuery(choosingSetsQuery);
  const key = params.get('set');
  const set = sets.data?.find((s) => isNamed(s, key));
  if (!sets.data) return sets.error ? <Failed error={sets.error} onRetry={() => void sets.refetch()} /> : <Loading />;
  if (!set)
    return <Empty title={say('Nobody to list')}>{say('These animals are no longer here. Go back to Choosing.')}</Empty>;
  return <Lists set={set} />;
}

function Lists({ set }: { readonly set: ChoosingSet }) {
  const { data: view, error, refetch } = useQuery(choosingQuery(queryOf(set)));
  const { data: holding } = useQuery(holdingQuery);
  const [params] = useSearchParams();
  if (!view) return error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading rows={10} />;
  const today = holding?.today ?? '';
  const all = choosable(view);
  return (
    <PaperSheet>
      <PaperHead
        title={say('The choice among {set}', { set: setWords(set, today) })}
        back={{
          to: `/choosing?set=${encodeURIComponent(params.get('set') ?? '')}&step=choice`,
          words: say('Back to choosing'),
        }}
      />
      <p>
        {holding?.name}, {today === '' ? '' : fullDate(today)}
      </p>
      {LISTS.map((decision) => (
        <List
          key={decision}
          decision={decision}
          rows={all.filter((a) => decisionOf(a) === decision)}
          {...{ set, today }}
        />
      ))}
    </PaperSheet>
  );
}

interface ListProps {
  readonly decision: DraftDecision;
  readonly rows: readonly Choosable[];
  readonly set: ChoosingSet;
  readonly today: string;
}

function List({ decision, rows, set, today }: ListProps) {
  const unit = useWeightUnit();
  if (rows.length === 0) return null;
  return (
    <section style={{ marginTop: 20 }}>
      <h2>
        {DRAFT_DECISION_WORDS[decision]}: {say('{n} {n, plural, one {animal} other {animals}}', { n: rows.length })}
      </h2>
      <LineTable>
        <thead>
          <tr>
            <th>{say('Number')}</th>
            <th>{say('Tag')}</th>
            <th>{say('Other numbers')}</th>
            <th>{say('Born as')}</th>
            <th>{say('Dam')}</th>
            <th>{say('Sire')}</th>
            <th>{say('Last weight')}</th>
            <th>{say('Remarks')}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((a) => (
            <tr key={idOf(a)}>
              <td>{a.tag.text}</td>
              <td>{a.tag.colour ? say(a.tag.colour) : ''}</td>
              <td>{a.worn.filter((text) => text !== a.tag.text).join(', ')}</td>
              <td>{bornText(set.species, a.birthType, a.rearingType)}</td>
              <td>{a.dam?.text ?? ''}</td>
              <td>{a.sire?.text ?? ''}</td>
              <td>
                {a.lastKg === null ? '' : weightText(a.lastKg, unit)}
                {a.lastOn === null ? '' : `, ${fullDate(a.lastOn)}`}
              </td>
              <td>{remarks(a, today)}</td>
            </tr>
          ))}
        </tbody>
      </LineTable>
    </section>
  );
}

function remarks(a: Choosable, today: string): string {
  const { reserved, withheld } = a.tag;
  return [
    ...(a.eye.failed.length > 0
      ? [say('failed {list}', { list: a.eye.failed.map((f) => lower(f.name)).join(', ') })]
      : []),
    ...(a.decided?.reason ? [a.decided.reason] : a.eye.letBack === null ? [] : [a.eye.letBack]),
    ...(reserved ? [reservedText(reserved)] : []),
    ...(withheld?.meat
      ? [
          say('meat withheld to {date}, {daysLeft}: not for slaughter before', {
            date: fullDate(withheld.meat),
            daysLeft: daysLeftText(withheld.meat, today),
          }),
        ]
      : []),
  ].join('; ');
}
