import type { GoingRow, GoingView } from '@yaylak/contract';
import styled from 'styled-components';
import { Button } from '../../parts/Button';
import { How } from '../../parts/How';
import { Small } from '../../parts/Panel';
import { PlainList } from '../../parts/PlainList';
import { Tag } from '../../parts/Tag';
import { colour, narrow, phone, radius, space } from '../../theme/tokens';
import { figureText, moneyText } from '../../words/format';
import { clearsText, CULL_WEIGHT_WORDS, hitText } from '../../words/going';
import { say } from '@yaylak/contract';
import { Said } from '../../parts/Said';

interface Props {
  readonly view: GoingView;
  readonly currency: string;
  readonly onGoes: (row: GoingRow) => void;
  readonly onStays: (row: GoingRow) => void;
}

/** Evidence first: what speaks against each, when it should go, what another year brings, and the two ways on. */
export function GoingList({ view, currency, onGoes, onStays }: Props) {
  return (
    <List aria-label={say('Who should go')}>
      {view.rows.map((row) => (
        <li key={row.tag.animalId}>
          <div>
            <Tag tag={row.tag} />
            <Small>
              {row.ageYears === null
                ? say('age not known')
                : row.ageYears === 1
                  ? say('1 year')
                  : say('{ageYears} years', { ageYears: row.ageYears })}
            </Small>
          </div>
          <div>
            {row.hits.map((hit) => (
              <p key={hit.fact}>
                <b>{hitText(hit, view.rearedByHerd)}</b>
                <Small as="span">{clearsText(hit)}</Small>
              </p>
            ))}
          </div>
          <div>
            <Weight data-weight={row.weight}>{CULL_WEIGHT_WORDS[row.weight]}</Weight>
            <OneMoreYear row={row} currency={currency} />
          </div>
          <Ways>
            <Button aria-label={say('{text} goes', { text: row.tag.text })} onPress={() => onGoes(row)}>
              {say('Goes')}
            </Button>
            <Button
              kind="quiet"
              aria-label={say('{text} stays, with a reason', { text: row.tag.text })}
              onPress={() => onStays(row)}
            >
              {say('Stays…')}
            </Button>
          </Ways>
        </li>
      ))}
    </List>
  );
}

/** Whole money: what comes of estimates has no cents. */
const whole = (minor: number, currency: string): string =>
  moneyText(Math.round(minor / 100) * 100, currency).replace('.00', '');

const soldWords = (sales: number): string => (sales > 0 ? say(', mean of {sales} sold', { sales }) : '');

function OneMoreYear({ row, currency }: { readonly row: GoingRow; readonly currency: string }) {
  const { oneMoreYear: year } = row;
  if (!year) return null;
  const { inputs } = year;
  const sign = year.differenceMinor > 0 ? '+' : '';
  return (
    <Small>
      <Said
        text={'one more year {sign}{figure} ± {whole} <0/>'}
        values={{
          sign,
          figure: figureText(year.differenceMinor / 100, 0),
          whole: whole(year.halfWidthMinor, currency),
        }}
        parts={{
          0: (
            <How of={say('one more year of {text}', { text: row.tag.text })}>
              <table>
                <tbody>
                  <tr>
                    <td>{say('Young she should rear next year')}</td>
                    <td>{figureText(year.young, 2)}</td>
                  </tr>
                  <tr>
                    <td>{say('A first-timer in her place')}</td>
                    <td>{figureText(year.firstYoung, 2)}</td>
                  </tr>
                  <tr>
                    <td>{say('A young reared{sold}', { sold: soldWords(inputs.youngSales) })}</td>
                    <td>{whole(inputs.youngMinor, currency)}</td>
                  </tr>
                  <tr>
                    <td>{say('A cull{sold}', { sold: soldWords(inputs.cullSales) })}</td>
                    <td>{whole(inputs.cullMinor, currency)}</td>
                  </tr>
                  <tr>
                    <td>{say('A replacement')}</td>
                    <td>{whole(inputs.replacementMinor, currency)}</td>
                  </tr>
                  <tr>
                    <td>{say('A year’s keep, the same for both')}</td>
                    <td>{whole(inputs.keepMinor, currency)}</td>
                  </tr>
                  <tr>
                    <td>{say('Keeping her')}</td>
                    <td>{whole(year.keepingMinor, currency)}</td>
                  </tr>
                  <tr>
                    <td>{say('Replacing her')}</td>
                    <td>{whole(year.replacingMinor, currency)}</td>
                  </tr>
                </tbody>
              </table>
              <p>
                {say(
                  'Her own {litters} litters drawn to the others’ mean, and to her age. {n} % are alive a year later; a replacement is used for {usefulYears} years. From five sales in three years on, the mean of your own sales counts, charges off, and how sure it is; until then, and for the rest, the settings under Choosing in the holding’s figures. What speaks against her above is not in the money: a bad mouth costs more than it says.',
                  { litters: inputs.litters, n: Math.round(100 * inputs.survival), usefulYears: inputs.usefulYears },
                )}
              </p>
            </How>
          ),
        }}
      />
    </Small>
  );
}

const List = styled(PlainList)`
  background: ${colour('panel')};
  border: 1px solid ${colour('line')};
  border-radius: ${radius};
  li {
    display: grid;
    grid-template-columns: 112px minmax(0, 1fr) 150px auto;
    gap: ${space(3)};
    padding: ${space(3)} ${space(4)};
    align-items: start;
  }
  li + li {
    border-top: 1px solid ${colour('line')};
  }
  p > span {
    display: block;
  }
  ${narrow} {
    li {
      grid-template-columns: 112px minmax(0, 1fr);
    }
  }
  ${phone} {
    li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;
const Weight = styled.b`
  &[data-weight='now'] {
    color: ${colour('madder')};
  }
  &[data-weight='season-end'] {
    color: ${colour('weld')};
  }
`;
const Ways = styled.div`
  display: flex;
  gap: ${space(1)};
`;
