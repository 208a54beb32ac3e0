import { loadCheckText, type PlannedLoadView, say } from '@yaylak/contract';
import type { Species } from '@yaylak/core';
import { DenseTable, Frame } from '../../parts/Beside';
import { Button } from '../../parts/Button';
import { Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { shortDate } from '../../words/dates';
import { weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';
import type { LoadAtHand } from './useLoad';

interface Props {
  readonly load: PlannedLoadView;
  readonly species: Species;
  readonly atHand: LoadAtHand;
}

/** Who is on a load, what is to be known of each and who is aboard; of one that has left, who went. */
export function LoadHeads({ load: { heads, facts, isGone }, species, atHand }: Props) {
  const unit = useWeightUnit();
  const aboard = new Set(facts.aboard ?? []);
  return (
    <Frame>
      <DenseTable aria-label={isGone ? say('Who went') : say('On the load')}>
        <thead>
          <tr>
            <th>{say('Animal')}</th>
            <th data-figure>{say('Last weight')}</th>
            {isGone ? (
              <th />
            ) : (
              <>
                <th style={{ paddingLeft: 24 }}>{say('What to know')}</th>
                <th>{say('Aboard')}</th>
                <th />
              </>
            )}
          </tr>
        </thead>
        <tbody>
          {heads.map(({ tag, weight, checks }) => (
            <tr key={tag.animalId}>
              <td>
                <Tag tag={tag} />
              </td>
              <td data-figure>
                {weight ? weightText(weight.kg, unit, species) : ''}
                {weight ? <Small>{shortDate(weight.on)}</Small> : null}
              </td>
              {isGone ? (
                <td />
              ) : (
                <>
                  <td style={{ paddingLeft: 24 }}>
                    {checks.map((c) => (
                      <p key={c.code}>
                        {c.isStop ? <b>{say('Stays here.')} </b> : null}
                        {loadCheckText(c)}
                      </p>
                    ))}
                  </td>
                  <td>{aboard.has(tag.animalId) ? say('aboard') : ''}</td>
                  <td>
                    <Button
                      kind="quiet"
                      aria-label={say('Take {text} off the load', { text: tag.text })}
                      onPress={() => void atHand.takeOff(tag.animalId, tag.text)}
                    >
                      {say('Remove')}
                    </Button>
                  </td>
                </>
              )}
            </tr>
          ))}
        </tbody>
      </DenseTable>
    </Frame>
  );
}
