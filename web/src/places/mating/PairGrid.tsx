import { pairText, percentText, type PairingView, say, fixedText } from '@yaylak/contract';
import styled from 'styled-components';
import { Tag } from '../../parts/Tag';
import { fieldLook } from '../../parts/fieldLook';
import { colour, touch } from '../../theme/tokens';
import type { PairingWish } from './usePairing';

interface Props {
  readonly view: PairingView;
  readonly wish: PairingWish;
  readonly maleOf: Readonly<Record<string, string>> | undefined;
  /** What is said by hand. */
  readonly onWish: (change: Partial<Pick<PairingWish, 'capacities' | 'locked'>>) => void;
}

/** Females down, males across: the inbreeding of their young, struck where the pair is not to be, framed where planned. */
export function PairGrid({ view, wish, maleOf, onWish }: Props) {
  const n = view.males.length;
  const load = (maleId: string): number => Object.values(maleOf ?? {}).filter((m) => m === maleId).length;
  const toggle = (femaleId: string, maleId: string): void => {
    const { [femaleId]: before, ...others } = wish.locked;
    onWish({ locked: before === maleId ? others : { ...others, [femaleId]: maleId } });
  };
  return (
    <Scroll role="region" aria-label={say('Pairs')} tabIndex={0}>
      <table>
        <thead>
          <tr>
            <th scope="col">{say('Inbreeding of the young')}</th>
            {view.males.map((m) => (
              <th key={m.tag.animalId} scope="col">
                <Tag tag={m.tag} />
                <span>{m.tag.name ?? ''}</span>
                <label>
                  {maleOf ? `${say('{load} of', { load: load(m.tag.animalId) })} ` : `${say('up to')} `}
                  <input
                    aria-label={say('Females for {text} at the most', { text: m.tag.text })}
                    inputMode="numeric"
                    value={String(wish.capacities[m.tag.animalId] ?? m.capacity)}
                    onChange={(e) => {
                      const room = Math.min(500, Math.max(0, Number.parseInt(e.target.value, 10) || 0));
                      onWish({ capacities: { ...wish.capacities, [m.tag.animalId]: room } });
                    }}
                  />
                </label>
                <small>{m.isReady ? meritWords(m.merit, m.meritYoung) : say('not fit')}</small>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {view.females.map((f, row) => (
            <tr key={f.tag.animalId}>
              <th scope="row">
                <Tag tag={f.tag} /> {f.tag.name ?? ''}
              </th>
              {view.males.map((m, column) => {
                const at = row * n + column;
                const refusal = view.refusals[at] ?? null;
                const inbreeding = view.inbreeding[at] ?? 0;
                const isLocked = wish.locked[f.tag.animalId] === m.tag.animalId;
                const isPlanned = maleOf?.[f.tag.animalId] === m.tag.animalId;
                const isNow = view.present[row]?.includes(column) ?? false;
                const words = refusal
                  ? pairText({ refusal, inbreeding, species: view.species }, m.tag.name ?? m.tag.text).replace(
                      /\.$/,
                      '',
                    )
                  : say('{percent} inbred', { percent: percentText(inbreeding) });
                return (
                  <td key={m.tag.animalId}>
                    <Cell
                      type="button"
                      aria-pressed={isLocked}
                      aria-label={say('{text} with {text2}: {words}{value}{value2}{value3}', {
                        text: f.tag.text,
                        text2: m.tag.text,
                        words,
                        value: isPlanned ? say(', planned') : '',
                        value2: isNow ? say(', together now') : '',
                        value3: isLocked ? say(', locked') : '',
                      })}
                      title={words}
                      data-refused={refusal !== null || undefined}
                      data-planned={isPlanned || undefined}
                      data-level={level(inbreeding, view.most)}
                      onClick={() => toggle(f.tag.animalId, m.tag.animalId)}
                    >
                      <span>{figure(inbreeding)}</span>
                      {isNow ? <i aria-hidden>{say('now')}</i> : null}
                      {isLocked ? <i aria-hidden>{say('locked')}</i> : null}
                    </Cell>
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </Scroll>
  );
}

const figure = (f: number): string => (f === 0 ? '0' : percentText(f).replace('\u00a0%', ''));
const level = (f: number, most: number): number => (f === 0 ? 0 : f <= most / 2 ? 1 : f <= most + 1e-9 ? 2 : 3);
/** Merit as per cent, without a sign where it rounds to nothing. */
function meritWords(merit: number, young: number): string {
  if (young === 0) return say('no young compared');
  const shown = fixedText(Math.abs(100 * merit), 1);
  const sign = shown === '0.0' ? '' : merit > 0 ? '+' : '\u2212';
  return say('{sign}{shown}\u00a0% by {young}', { sign, shown, young });
}

const Scroll = styled.div`
  overflow: auto;
  max-height: 560px;
  table {
    border-collapse: separate;
    border-spacing: 3px;
  }
  thead th {
    position: sticky;
    top: 0;
    z-index: 1;
    background: ${colour('panel')};
    padding: 4px;
    font-weight: 400;
    font-size: 13px;
    text-align: left;
    vertical-align: bottom;
  }
  thead th > span,
  thead th > label,
  thead th > small {
    display: block;
  }
  thead small {
    color: ${colour('inkSoft')};
    font-size: 12px;
  }
  tbody th {
    position: sticky;
    left: 0;
    background: ${colour('panel')};
    text-align: left;
    font-weight: 400;
    white-space: nowrap;
    padding-right: 8px;
  }
  input {
    ${fieldLook}
    width: 56px;
    min-height: ${touch};
    padding: 0 6px;
  }
`;
const Cell = styled.button`
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 6px;
  width: 100%;
  min-width: 92px;
  min-height: ${touch};
  padding: 0 8px;
  border: 1px solid ${colour('line')};
  border-radius: 4px;
  background: ${colour('panel')};
  color: ${colour('ink')};
  font-variant-numeric: tabular-nums;
  cursor: pointer;
  &[data-level='1'] {
    background: ${colour('weldWash')};
  }
  &[data-level='2'] {
    background: repeating-linear-gradient(115deg, ${colour('weldWash')} 0 6px, ${colour('panel')} 6px 9px);
  }
  &[data-level='3'] {
    background: ${colour('madderWash')};
  }
  &[data-refused] {
    background: repeating-linear-gradient(115deg, ${colour('madderWash')} 0 6px, ${colour('panel')} 6px 9px);
    border-color: ${colour('madder')};
  }
  &[data-refused] span {
    text-decoration: line-through;
  }
  &[data-planned] {
    border: 3px solid ${colour('moss')};
    font-weight: 700;
  }
  &[aria-pressed='true'] {
    border: 3px solid ${colour('indigo')};
  }
  i {
    font-style: normal;
    font-size: 12px;
    background: ${colour('panel')};
    padding: 0 4px;
    border-radius: 3px;
  }
`;
