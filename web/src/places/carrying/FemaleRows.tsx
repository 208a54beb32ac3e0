import {
  EVIDENCE_WAY_WORDS,
  chanceText,
  percentText,
  WAY_ON_WORDS,
  type CarryingFemaleView,
  type CarryingView,
  say,
} from '@yaylak/contract';
import styled from 'styled-components';
import { Button } from '../../parts/Button';
import { ChanceHow } from '../../parts/ChanceHow';
import { LineTable } from '../../parts/LineTable';
import { Panel, Small } from '../../parts/Panel';
import { WindowBar } from '../../parts/WindowBar';
import { useFirst } from '../../parts/useFirst';
import { colour } from '../../theme/tokens';
import { contradictionText } from '../../words/carrying';
import { shortDate } from '../../words/dates';
import { knownText, STATE_WORDS } from './words';
import { servedBy } from '../../words/mating';
import { NamedTag } from '../../parts/NamedTag';

interface Props {
  readonly title: string;
  readonly females: readonly CarryingFemaleView[];
  readonly view: CarryingView;
  readonly onWrite: (female: CarryingFemaleView) => void;
  readonly onAsk: (female: CarryingFemaleView) => void;
}

const SHOWN = 40;

/** Each female: her service, what is known, how likely she carries, and what comes next. */
export function FemaleRows({ title, females, view, onWrite, onAsk }: Props) {
  const { shown, more } = useFirst(females, SHOWN);
  return (
    <Panel>
      <h2>
        {title} ({females.length})
      </h2>
      <Middle>
        <thead>
          <tr>
            <th>{say('Female')}</th>
            <th>{say('Service')}</th>
            <th>{say('What is known')}</th>
            <th>{say('In young')}</th>
            <th>{say('Next')}</th>
            <th aria-label={say('Do')} />
          </tr>
        </thead>
        <tbody>
          {shown.map((f) => (
            <tr key={f.tag.animalId}>
              <td>
                <NamedTag tag={f.tag} />
              </td>
              <td style={{ whiteSpace: 'nowrap' }}>{f.chance ? <Service female={f} /> : null}</td>
              <td>
                {knownText(f, view.species)}
                {f.chance?.contradictions.map((c, i) => (
                  <Warn key={i}>{contradictionText(c)}</Warn>
                ))}
                <FitLine female={f} />
              </td>
              <td>
                {f.state === 'not-served' ? null : <State data-state={f.state}>{STATE_WORDS[f.state]}</State>}{' '}
                {f.chance ? (
                  <span style={{ whiteSpace: 'nowrap' }}>
                    {f.chance.probability === null ? null : chanceText(f.chance.probability)}
                    <ChanceHow tag={f.tag.text} chance={f.chance} />
                  </span>
                ) : null}
              </td>
              <td>
                <Next female={f} today={view.on} onAsk={onAsk} />
              </td>
              <td>
                {f.chance ? (
                  <Button
                    kind="quiet"
                    aria-label={say('Record for {text}', { text: f.tag.text })}
                    onPress={() => onWrite(f)}
                  >
                    {say('Record')}
                  </Button>
                ) : null}
              </td>
            </tr>
          ))}
        </tbody>
      </Middle>
      {more}
    </Panel>
  );
}

function Service({ female: { chance } }: { readonly female: CarryingFemaleView }) {
  if (!chance) return null;
  const by = servedBy(
    chance.males.map((m) => m.name ?? m.text),
    chance.otherSire,
  );
  return (
    <>
      {shortDate(chance.servedOn)}
      <Small>{by}</Small>
    </>
  );
}

/** What her scanned age says of service and sire, where that is not plain. */
function FitLine({ female: { fit } }: { readonly female: CarryingFemaleView }) {
  if (!fit) return null;
  if (fit.servedOn === null)
    return (
      <Warn>
        {say('{ageDays} days fit no service: conceived about {date}.', {
          ageDays: fit.ageDays,
          date: shortDate(fit.conceivedOn),
        })}
      </Warn>
    );
  const [first] = fit.sires;
  if (!first || (fit.sires.length === 1 && Math.abs(fit.daysOff ?? 0) <= 2)) return null;
  return (
    <Small>
      {say('The age fits {date}: {list}', {
        date: shortDate(fit.servedOn),
        list: fit.sires.map((s) => `${s.tag.name ?? s.tag.text} ${percentText(s.probability)}`).join(', '),
      })}
    </Small>
  );
}

function Next({
  female: f,
  today,
  onAsk,
}: {
  readonly female: CarryingFemaleView;
  readonly today: string;
  readonly onAsk: Props['onAsk'];
}) {
  if (f.decided) return <b>{WAY_ON_WORDS[f.decided.decision]}</b>;
  if (f.state === 'too-soon' || f.state === 'likely') {
    const open = f.windows.find((w) => !w.isDone && w.window.closes >= today);
    if (open)
      return (
        <>
          <Small>{EVIDENCE_WAY_WORDS[open.way]}</Small>
          <WindowBar window={open.window} today={today} />
        </>
      );
  }
  if (f.whatNow) {
    const [best] = f.whatNow.ways;
    if (!best) return null;
    const by =
      best.way === 'serve-again' && f.whatNow.serveUntil
        ? ` ${say('by {date}', { date: shortDate(f.whatNow.serveUntil) })}`
        : '';
    return (
      <Button aria-label={say('What now with {text}', { text: f.tag.text })} onPress={() => onAsk(f)}>
        {WAY_ON_WORDS[best.way]}
        {by}?
      </Button>
    );
  }
  if (!f.birth) return null;
  return (
    <>
      <Small>{f.isOverdue ? say('overdue') : say('birth')}</Small>
      <WindowBar window={f.birth} today={today} />
    </>
  );
}

const Middle = styled(LineTable)`
  td {
    vertical-align: middle;
  }
`;
const Warn = styled.p`
  color: ${colour('madder')};
  font-size: 14px;
`;
const State = styled.b`
  display: block;
  &[data-state='in-young'],
  &[data-state='likely'] {
    color: ${colour('moss')};
  }
  &[data-state='empty'],
  &[data-state='over-time'],
  &[data-state='unanswered'],
  &[data-state='lost'],
  &[data-state='doubtful'] {
    color: ${colour('madder')};
  }
`;
