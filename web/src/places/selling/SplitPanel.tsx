import { listed, type SellingView, say } from '@yaylak/contract';
import { Button } from '../../parts/Button';
import { FigureTable } from '../../parts/FigureTable';
import { How } from '../../parts/How';
import { Panel, Small } from '../../parts/Panel';
import { Tick } from '../../parts/Tick';
import { moneyApartText, moneyText } from '../../words/format';
import type { MadeSplit } from './split';
import { Said } from '../../parts/Said';

interface Props {
  readonly view: SellingView;
  readonly made: MadeSplit;
  readonly currency: string;
  /** Those outside what an outlet wants are counted as taken too. */
  readonly asksAll: boolean;
  readonly onAskAll: (asksAll: boolean) => void;
  readonly onBack: () => void;
  /** They are put on a load that is planned. */
  readonly onPlan: (outletId: string) => void;
}

/** The pen as it is split: heads and money by outlet, and what one outlet alone would lose. */
export function SplitPanel({ view, made, currency, asksAll, onAskAll, onBack, onPlan }: Props) {
  const { split, outlets } = view;
  const nameOf = (id: string): string => outlets.find((o) => o.id === id)?.facts.name ?? say('stays');
  if (!split) return null;
  const [best, second] = split.alone;
  const trips = made.columns.flatMap(({ id, heads }) => {
    const trip = outlets.find((o) => o.id === id)?.facts.tripMinor ?? 0;
    return heads > 0 && trip > 0 ? [moneyText(trip, currency)] : [];
  });
  return (
    <Panel>
      <h2>
        <Said
          text={'The pen, split <0/>'}
          parts={{
            0: (
              <How of={say('the split')}>
                <p>
                  {say(
                    'Every way to use the outlets is tried: each takes its least to its most and is paid one trip; inside it every head goes where the whole pen brings most. Who stays counts with what its best day a week or more from now brings, its keep until then and its share of that trip taken off.',
                  )}
                </p>
                <p>
                  {say(
                    'A head goes only where it lies in what the outlet wants, as surely as the outlet asks for; only one that can neither go there nor stay is offered to all. Ticked below, the others are counted as taken too: ask there before you load them.',
                  )}
                </p>
                <p>
                  {say(
                    'Weights are those expected today, with how unsure they are; a class is the mean over the classes it may be given. Press a figure in the list to send a head elsewhere and see what that does.',
                  )}
                </p>
                {view.notSplit.length > 0 ? (
                  <p>
                    {say('Six outlets are weighed against each other. Left out: {list}.', {
                      list: view.notSplit.map(nameOf).join(', '),
                    })}
                  </p>
                ) : null}
              </How>
            ),
          }}
        />
      </h2>
      <FigureTable>
        <tbody>
          {made.columns
            .filter((c) => c.heads > 0)
            .map((c) => (
              <tr key={c.id}>
                <th scope="row">{nameOf(c.id)}</th>
                <td>
                  <b>
                    {say('{heads} {heads, plural, one {head} other {head}}', { heads: c.heads })}
                    {c.id === 'stays' ? '' : `, ${moneyText(c.minor, currency)}`}
                  </b>
                  {c.outside > 0 ? (
                    <Small>{say('{outside} outside what it wants: ask first', { outside: c.outside })}</Small>
                  ) : null}
                  {c.id === 'stays' ? null : (
                    <div className="no-print">
                      <Button
                        kind="quiet"
                        aria-label={say('Plan a load for {name}', { name: nameOf(c.id) })}
                        onPress={() => onPlan(c.id)}
                      >
                        {say('Plan a load')}
                      </Button>
                    </div>
                  )}
                </td>
              </tr>
            ))}
        </tbody>
      </FigureTable>
      {made.broken.map((words) => (
        <p key={words} role="alert">
          {words}
        </p>
      ))}
      {made.isByHand ? (
        <>
          <p role="status">
            {say('By hand {money}: {moneyApart} less than the split.', {
              money: moneyText(made.totalMinor, currency),
              moneyApart: moneyApartText(made.totalMinor, split.totalMinor, currency),
            })}
          </p>
          <Button onPress={onBack}>{say('As the split has it')}</Button>
        </>
      ) : null}
      <Tick label={say('Also those outside what an outlet wants')} isSelected={asksAll} onChange={onAskAll} />
      <Small>
        {trips.length > 0 ? `${say('Haulage of {listed} is off.', { listed: listed(trips) })} ` : ''}
        {best
          ? say('All to {name} loses {money}', {
              name: nameOf(best.outletId),
              money: moneyText(best.losesMinor, currency),
            })
          : ''}
        {second
          ? say(', to {name} {money}', { name: nameOf(second.outletId), money: moneyText(second.losesMinor, currency) })
          : ''}
        {best ? '.' : say('No outlet could take all.')}
      </Small>
    </Panel>
  );
}
