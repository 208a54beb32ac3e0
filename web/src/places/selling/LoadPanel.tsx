import type { LoadView, SoldHeadView } from '@yaylak/contract';
import type { Species } from '@yaylak/core';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { DenseTable, Frame } from '../../parts/Beside';
import { Button } from '../../parts/Button';
import { LinkButton } from '../../parts/LinkButton';
import { Panel, Row, Small } from '../../parts/Panel';
import { stackedInFrame } from '../../parts/stackedOnPhone';
import { Tag } from '../../parts/Tag';
import { colour, space } from '../../theme/tokens';
import { fullDate } from '../../words/dates';
import { moneyText, weightText } from '../../words/format';
import {
  againstExpected,
  DIFFERENCE_PARTS,
  gradedText,
  mostOf,
  PART_WORDS,
  signedMoney,
  type DifferencePart,
} from '../../words/results';
import { useWeightUnit } from '../../words/useHolding';
import { say } from '@yaylak/contract';

interface Props {
  readonly load: LoadView;
  readonly species: Species;
  readonly name: string;
  readonly currency: string;
  readonly startsOpen: boolean;
  /** A result is typed by hand. */
  readonly onType: (head: SoldHeadView) => void;
}

/** What left for one outlet on one day: in the hand against expected, parted by why, and head by head. */
export function LoadPanel({ load, species, name, currency, startsOpen, onType }: Props) {
  const [isOpen, setOpen] = useState(startsOpen);
  const { heads, on, waiting, compared, expectedMinor, paidMinor } = load;
  return (
    <Panel>
      <Row $gap={3} style={{ alignItems: 'flex-start' }}>
        <div style={{ marginRight: 'auto' }}>
          <h2>{name}</h2>
          <Small>
            {fullDate(on)}, {say('{n} {n, plural, one {head} other {head}}', { n: heads.length })}
            {waiting > 0 ? say('; nothing came back of {waiting} yet', { waiting }) : ''}
          </Small>
        </div>
        {compared > 0 ? (
          <Brought>
            <b>{moneyText(paidMinor, currency)}</b>
            <Small>{againstExpected(paidMinor, expectedMinor, currency)}</Small>
          </Brought>
        ) : null}
        <LinkButton as={Link} to={`/selling/sheet?ids=${heads.map((h) => h.tag.animalId).join(',')}`}>
          {say('Sale sheet')}
        </LinkButton>
        <Button
          kind="quiet"
          aria-expanded={isOpen}
          aria-label={say('{value} the animals of {name}, {date}', {
            value: isOpen ? say('Hide') : say('Show'),
            name,
            date: fullDate(on),
          })}
          onPress={() => setOpen(!isOpen)}
        >
          {isOpen ? say('Hide animals') : say('Show animals')}
        </Button>
      </Row>
      {compared > 0 ? <Parts heads={heads} currency={currency} /> : null}
      {isOpen ? <Heads heads={heads} species={species} currency={currency} name={name} onType={onType} /> : null}
    </Panel>
  );
}

/** Each part of the difference as a bar from the middle: more to the right, less to the left. */
function Parts({ heads, currency }: { readonly heads: readonly SoldHeadView[]; readonly currency: string }) {
  const sums = DIFFERENCE_PARTS.flatMap((part): [DifferencePart, number][] => {
    const known = heads.flatMap((h) => h.difference?.[part] ?? []);
    return known.length === 0 ? [] : [[part, known.reduce((s, n) => s + n, 0)]];
  });
  const reach = Math.max(...sums.map(([, n]) => Math.abs(n)), 1);
  return (
    <Bars>
      {sums.map(([part, sum]) => (
        <div key={part}>
          <dt>{PART_WORDS[part]}</dt>
          <dd>
            <svg viewBox="-100 0 200 10" preserveAspectRatio="none" aria-hidden="true">
              <rect
                x={sum < 0 ? (100 * sum) / reach : 0}
                y="1"
                width={(100 * Math.abs(sum)) / reach}
                height="8"
                data-side={sum < 0 ? 'less' : 'more'}
              />
              <line x1="0" x2="0" y1="0" y2="10" vectorEffect="non-scaling-stroke" />
            </svg>
            <span>
              {signedMoney(sum)} {currency}
            </span>
          </dd>
        </div>
      ))}
    </Bars>
  );
}

interface HeadsProps extends Pick<Props, 'species' | 'currency' | 'name' | 'onType'> {
  readonly heads: readonly SoldHeadView[];
}

function Heads({ heads, species, currency, name, onType }: HeadsProps) {
  const unit = useWeightUnit();
  const isDead = heads.some((h) => h.how === 'slaughtered');
  return (
    <Frame style={{ marginTop: 12 }}>
      <Table aria-label={say('Heads for {name}', { name })}>
        <thead>
          <tr>
            <th>{say('Animal')}</th>
            <th data-figure>{say('Alive')}</th>
            {isDead ? (
              <>
                <th data-figure>{say('Carcass')}</th>
                <th>{say('Class')}</th>
              </>
            ) : null}
            <th data-figure>{say('Expected')}</th>
            <th data-figure>{say('In the hand')}</th>
            <th data-figure>{say('More, less')}</th>
            <th>{say('Mostly by')}</th>
          </tr>
        </thead>
        <tbody>
          {heads.map((h) => {
            const { difference: d, carcass } = h;
            const most = d && mostOf(d);
            return (
              <tr key={h.tag.animalId}>
                <td>
                  <Tag tag={h.tag} />
                </td>
                <td data-figure data-under={say('Alive')}>
                  {h.liveKg === null ? '' : weightText(h.liveKg, unit, species)}
                </td>
                {isDead ? (
                  <>
                    <td data-figure data-under={say('Carcass')}>
                      {carcass ? (
                        weightText(carcass.kg, unit, species)
                      ) : (
                        <Button
                          kind="quiet"
                          aria-label={say('Type the result of {text}', { text: h.tag.text })}
                          onPress={() => onType(h)}
                        >
                          {say('Type it')}
                        </Button>
                      )}
                    </td>
                    <td data-under={say('Class')}>{gradedText(carcass)}</td>
                  </>
                ) : null}
                <td data-figure data-under={say('Expected')}>
                  {d ? moneyText(d.expectedMinor, currency) : ''}
                </td>
                <td data-figure data-under={say('In the hand')}>
                  {d ? moneyText(d.paidMinor, currency) : ''}
                </td>
                <td data-figure data-under={say('More, less')}>
                  {d ? signedMoney(d.paidMinor - d.expectedMinor) : ''}
                </td>
                <td data-under={say('Mostly by')}>
                  {most ? PART_WORDS[most] : h.priceMinor === null ? say('no price yet') : ''}
                </td>
              </tr>
            );
          })}
        </tbody>
      </Table>
    </Frame>
  );
}

const Table = styled(DenseTable)`
  ${stackedInFrame}
`;
const Brought = styled.div`
  text-align: right;
`;
const Bars = styled.dl`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(120px, 1fr));
  gap: ${space(3)};
  margin: ${space(3)} 0 0;
  dt {
    font-size: 13px;
    color: ${colour('inkSoft')};
  }
  dd {
    margin: 0;
    font-size: 13px;
  }
  svg {
    display: block;
    width: 100%;
    height: 12px;
  }
  rect[data-side='more'] {
    fill: ${colour('moss')};
  }
  rect[data-side='less'] {
    fill: ${colour('weld')};
  }
  line {
    stroke: ${colour('ink')};
    stroke-width: 1px;
  }
`;
