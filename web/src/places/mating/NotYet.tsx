import type { FemaleToMateView } from '@yaylak/contract';
import { useState } from 'react';
import { Button } from '../../parts/Button';
import { LineTable } from '../../parts/LineTable';
import { Panel } from '../../parts/Panel';
import { useWrite } from '../../parts/useWrite';
import { fullDate } from '../../words/dates';
import { NamedTag } from '../../parts/NamedTag';
import { say } from '@yaylak/contract';

/** Who is not mated yet, why, and from when she may be. */
export function NotYet({ females, on }: { readonly females: readonly FemaleToMateView[]; readonly on: string }) {
  const write = useWrite();
  const [problem, setProblem] = useState<string>();
  if (females.length === 0) return null;
  const clean = async ({ tag }: FemaleToMateView): Promise<void> => {
    const refused = await write(
      [{ type: 'check', animalId: tag.animalId, on, what: 'womb', isFound: false }],
      say('The womb of {n} is clean; mate her at the next heat', { n: tag.name ?? tag.text }),
    );
    setProblem(refused.join(' ') || undefined);
  };
  const order = (f: FemaleToMateView): string => f.readyOn ?? '9999';
  const sorted = [...females].sort((a, b) => (order(a) < order(b) ? -1 : order(a) > order(b) ? 1 : 0));
  return (
    <Panel>
      <h2>{say('Not yet ({n})', { n: females.length })}</h2>
      <LineTable>
        <thead>
          <tr>
            <th>{say('Female')}</th>
            <th>{say('Why')}</th>
            <th>{say('May be mated from')}</th>
          </tr>
        </thead>
        <tbody>
          {sorted.map((f) => (
            <tr key={f.tag.animalId}>
              <td>
                <NamedTag tag={f.tag} />
              </td>
              <td>{f.reasons.map((r) => r.words).join('; ')}</td>
              <td>
                {f.readyOn ? fullDate(f.readyOn) : say('no day known')}
                {f.reasons.some((r) => r.code === 'womb') ? (
                  <Button kind="quiet" onPress={() => void clean(f)}>
                    {say('Womb now clear')}
                  </Button>
                ) : null}
              </td>
            </tr>
          ))}
        </tbody>
      </LineTable>
      {problem ? <p role="alert">{problem}</p> : null}
    </Panel>
  );
}
