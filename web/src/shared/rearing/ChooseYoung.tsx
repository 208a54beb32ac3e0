import type { TagView } from '@yaylak/contract';
import type { Sex, Species } from '@yaylak/core';
import { Choice } from '../../parts/Choice';
import { Row, Small } from '../../parts/Panel';
import { Tick } from '../../parts/Tick';
import { countText } from '../../words/format';
import { say, SPECIES_WORDS } from '@yaylak/contract';

/** A young as it is chosen. */
export interface YoungToChoose {
  readonly tag: TagView;
  readonly sex: Sex;
}

/** So many are ticked one by one; of more, that nobody can tell apart, the count is chosen. */
const TICKED = 4;

interface Props {
  readonly species: Species;
  readonly young: readonly YoungToChoose[];
  readonly chosen: readonly string[];
  readonly onChange: (ids: readonly string[]) => void;
}

/** Which of a litter: ticked, or of many without a number only how many. */
export function ChooseYoung({ species, young, chosen, onChange }: Props) {
  const words = SPECIES_WORDS[species].young;
  const marked = young.filter((y) => y.tag.kind !== 'none');
  if (young.length > TICKED && marked.length < young.length) {
    // Those without a mark go first: whichever is taken is one of them.
    const order = [...young].sort((a, b) => Number(a.tag.kind !== 'none') - Number(b.tag.kind !== 'none'));
    return (
      <Choice
        label={say('How many')}
        value={String(chosen.length)}
        options={order.map((_, i) => [String(i + 1), countText(i + 1, ...words.unknown)] as const)}
        onChange={(n) => onChange(order.slice(0, Number(n)).map((y) => y.tag.animalId))}
      />
    );
  }
  return (
    <div role="group" aria-label={say('Which')}>
      <Row $gap={4}>
        {young.map((y, i) => (
          <Tick
            key={y.tag.animalId}
            label={y.tag.kind === 'none' ? `${i + 1}. ${words[y.sex === 'castrate' ? 'male' : y.sex][0]}` : y.tag.text}
            isSelected={chosen.includes(y.tag.animalId)}
            onChange={(isIn) =>
              onChange(isIn ? [...chosen, y.tag.animalId] : chosen.filter((id) => id !== y.tag.animalId))
            }
          />
        ))}
      </Row>
      {young.length === 0 ? <Small>{say('None is with her.')}</Small> : null}
    </div>
  );
}

/** The first of them, from which on more are chosen; one without a mark where there is one. */
export function firstOf(young: readonly YoungToChoose[]): readonly string[] {
  const first = young.find((y) => y.tag.kind === 'none') ?? young[0];
  return first ? [first.tag.animalId] : [];
}
