import { scaleUnit, type Sex, type Species, type WeightUnit } from '@yaylak/core';
import { Button as AriaButton } from 'react-aria-components';
import styled from 'styled-components';
import { bigKeyFace } from '../../parts/BigKeys';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Row, Small } from '../../parts/Panel';
import { Tick } from '../../parts/Tick';
import { colour, phone, space } from '../../theme/tokens';
import { newId } from '../../words/ids';
import type { YoungTyped } from './birthDraft';
import { say, SPECIES_WORDS } from '@yaylak/contract';

interface Props {
  readonly species: Species;
  readonly unit: WeightUnit;
  readonly young: readonly YoungTyped[];
  readonly onChange: (young: readonly YoungTyped[]) => void;
}

const SEX_WORDS: Readonly<Record<'female' | 'male' | 'unknown', string>> = {
  female: say('Female'),
  male: say('Male'),
  unknown: say('Not sexed'),
};

/** Each young by one press, in the order they come; dead ones by the second row. */
export function YoungKeys({ species, unit, young, onChange }: Props) {
  const add = (sex: Sex, isDead: boolean): void =>
    onChange([...young, { key: newId(), sex, isDead, weight: '', hasSucked: false }]);
  const set = (key: string, change: Partial<YoungTyped>): void =>
    onChange(young.map((y) => (y.key === key ? { ...y, ...change } : y)));
  const words = SPECIES_WORDS[species].young;
  return (
    <div>
      {([false, true] as const).map((isDead) => (
        <Keys key={String(isDead)} role="group" aria-label={isDead ? say('Born dead') : say('Born alive')}>
          <span>{isDead ? say('Born dead') : say('Born alive')}</span>
          {(['female', 'male', 'unknown'] as const).map((sex) => (
            <Key key={sex} data-dead={isDead || undefined} onPress={() => add(sex, isDead)}>
              + {SEX_WORDS[sex]}
            </Key>
          ))}
        </Keys>
      ))}
      {young.length === 0 ? (
        <Small>{say('One press for each, as they come.')}</Small>
      ) : (
        <List>
          {young.map((y, i) => {
            const name = `${i + 1}. ${words[y.sex === 'castrate' ? 'male' : y.sex][0]}`;
            return (
              <div key={y.key} role="group" aria-label={name}>
                <b>
                  {name}
                  {y.isDead ? say(', dead') : ''}
                </b>
                <Field
                  label={say('Weight, {scaleUnit}', { scaleUnit: scaleUnit(species, unit) })}
                  inputMode="decimal"
                  style={{ width: 110 }}
                  value={y.weight}
                  onChange={(weight) => set(y.key, { weight })}
                />
                {y.isDead ? (
                  <span />
                ) : (
                  <Tick
                    label={say('has sucked')}
                    isSelected={y.hasSucked}
                    onChange={(hasSucked) => set(y.key, { hasSucked })}
                  />
                )}
                <Button
                  kind="quiet"
                  aria-label={say('Take {name} off', { name })}
                  onPress={() => onChange(young.filter((x) => x.key !== y.key))}
                >
                  {say('Remove')}
                </Button>
              </div>
            );
          })}
        </List>
      )}
    </div>
  );
}

const Keys = styled(Row)`
  margin-bottom: ${space(2)};
  > span {
    min-width: 82px;
    font-size: 13px;
    color: ${colour('inkSoft')};
  }
`;
const Key = styled(AriaButton)`
  ${bigKeyFace}
  border-color: ${colour('moss')};
  color: ${colour('moss')};
  &[data-dead] {
    border-color: ${colour('madder')};
    color: ${colour('madder')};
    min-height: 44px;
  }
`;
const List = styled.div`
  > div {
    display: grid;
    grid-template-columns: minmax(110px, 1fr) 110px 124px auto;
    gap: ${space(3)};
    align-items: end;
    padding: ${space(1)} 0;
    border-top: 1px solid ${colour('line')};
  }
  > div > b {
    align-self: center;
  }
  ${phone} {
    > div {
      grid-template-columns: minmax(0, 1fr) auto;
    }
    > div > :last-child {
      grid-area: 1 / 2;
    }
  }
`;
