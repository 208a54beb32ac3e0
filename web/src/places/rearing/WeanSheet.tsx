import { useQuery, useQueryClient } from '@tanstack/react-query';
import {
  ENTRY_CLASSES,
  type LitterView,
  type RearedView,
  type RearingView,
  say,
  SPECIES_WORDS,
} from '@yaylak/contract';
import { addDays, dayOf, isoOf, type Sex } from '@yaylak/core';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { Link } from 'react-router';
import { ask } from '../../api/client';
import { holdingQuery, rearingQuery } from '../../api/queries';
import { readAgain } from '../../api/readAgain';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { FormChoice, FormField } from '../../parts/form/fields';
import { FieldRow } from '../../parts/form/FieldRow';
import { SendForm } from '../../parts/form/SendForm';
import { madeEntry } from '../../parts/form/useEntryForm';
import { useTypedForm, type Against } from '../../parts/form/useTypedForm';
import { LineTable } from '../../parts/LineTable';
import { LinkButton } from '../../parts/LinkButton';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { Tick } from '../../parts/Tick';
import { useWrite } from '../../parts/useWrite';
import { FormGroup } from '../../shared/groups/FormGroup';
import { useNumbersFor, type NumbersFor } from '../../shared/tags/numbersFor';
import { fullDate } from '../../words/dates';
import { countText, weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';
import { weanEntries, type WeanTyped } from './weanDraft';
import { waitsText } from './words';
import { writerOf } from '../../words/writer';

interface Props {
  readonly litter: LitterView;
  readonly view: RearingView;
  readonly today: string;
  readonly onClose: () => void;
}

/** Takes those that are ready off their dam, into a new group; looks at the dam, and offers her next mating. */
export function WeanSheet(props: Props) {
  const numbersFor = useNumbersFor();
  // The numbers it proposes follow from those that are worn.
  return numbersFor ? <WeanForm {...props} numbersFor={numbersFor} /> : null;
}

function WeanForm({ litter, view, today, onClose, numbersFor }: Props & { readonly numbersFor: NumbersFor }) {
  const write = useWrite();
  const client = useQueryClient();
  const unit = useWeightUnit();
  const { data: holding } = useQuery(holdingQuery);
  // What stands on the page when the sheet opens: written down, the litter is gone from it.
  const [{ dam, young, species, weaning, damNext }] = useState(litter);
  const isFirstStep = weaning.way === 'two-steps' && young.some((y) => y.weaning.step === 'first');
  const anyReady = young.some((y) => y.weaning.isReady);
  const [done, setDone] = useState<string>();
  const words = SPECIES_WORDS[species].young;
  const name = dam?.name ?? dam?.text ?? say('those reared by hand');
  const udder = holding?.standards.find((s) => s.species === species && /udder/i.test(s.name));
  const entriesOf = (typed: WeanTyped): ReturnType<typeof weanEntries> =>
    weanEntries(typed, {
      young,
      damId: dam?.animalId,
      isFirstStep,
      scoredBy: writerOf(holding),
      udderId: udder?.id,
    });
  const form = useTypedForm<WeanTyped>({
    start: {
      on: today,
      chosen: young.filter((y) => y.weaning.isReady).map((y) => y.tag.animalId),
      numbers: numbersOf(young, litter, numbersFor),
      sexes: {},
      groupId: '',
      damScore: '',
      udder: '',
    },
    made: (typed) => {
      const entries = entriesOf(typed);
      return typeof entries === 'string' ? [] : entries.map((e) => madeEntry(ENTRY_CLASSES[e.type], e));
    },
    words: { on: say('Give the day.'), score: say('A score is from 1 to 5 by quarters.') },
    also: (typed): Against => {
      const entries = entriesOf(typed);
      return typeof entries === 'string' ? { root: entries } : {};
    },
    fieldOf: { score: 'damScore' },
  });
  const [chosen, sexes] = useWatch({ control: form.control, name: ['chosen', 'sexes'] });
  const saidOf = (typed: WeanTyped): string => {
    const count = countText(typed.chosen.length, ...words.unknown);
    return isFirstStep
      ? say('Kept {count} of {name} off the milk', { count, name })
      : say('Weaned {count} of {name}', { count, name });
  };
  const send = async (typed: WeanTyped): Promise<readonly string[]> => {
    const made = entriesOf(typed);
    if (typeof made === 'string') return [made];
    const said = saidOf(typed);
    const refused = await write(made, said);
    if (refused.length > 0) return refused;
    const wrong = await writeSexes(young, typed);
    return wrong === undefined ? [] : [say('{said}. The sexes were not recorded: {wrong}', { said, wrong })];
  };
  const onDone = (typed: WeanTyped): void => {
    void readAgain(client, { queryKey: rearingQuery(species).queryKey });
    setDone(saidOf(typed));
  };
  if (done)
    return (
      <Sheet title={say('Weaning, {name}', { name })} isOpen onClose={onClose}>
        <p role="status">{done}.</p>
        {young.length > chosen.length ? (
          <p>
            {say('{n} stay with her; they come up again when it is their day.', { n: young.length - chosen.length })}
          </p>
        ) : null}
        {isFirstStep ? null : (
          <p>
            {FEED[weaning.way]} {apartText(view, litter)}
          </p>
        )}
        {dam && !isFirstStep ? (
          <Row>
            <span>
              {damNext?.isReady
                ? say('{name} may be mated again now.', { name })
                : damNext?.readyOn
                  ? say('{name} may be mated again from {date}.', { name, date: fullDate(damNext.readyOn) })
                  : say('When {name} may be mated again is shown under Mating.', { name })}
            </span>
            <LinkButton as={Link} to={`/mating?species=${species}&serve=${dam.animalId}`}>
              {say('To her next mating')}
            </LinkButton>
          </Row>
        ) : null}
        <Row>
          <Button onPress={onClose}>{say('Close')}</Button>
        </Row>
      </Sheet>
    );
  return (
    <Sheet
      title={`${isFirstStep ? say('Separate from milk (fence weaning)') : say('Wean')}, ${name}`}
      isOpen
      onClose={onClose}
      width={760}
    >
      <SendForm form={form} send={send} onDone={onDone} submit={say('Save')}>
        <LineTable>
          <thead>
            <tr>
              <th>{isFirstStep ? say('Off the milk') : say('Wean')}</th>
              <th>{say('Weight')}</th>
              <th>{say('Sex')}</th>
              <th>{say('Number')}</th>
              <th>{say('By age and weight')}</th>
            </tr>
          </thead>
          <tbody>
            {young.map((y, i) => {
              const id = y.tag.animalId;
              const called =
                y.tag.kind === 'none' ? `${i + 1}. ${words[y.sex === 'castrate' ? 'male' : y.sex][0]}` : y.tag.text;
              return (
                <tr key={id}>
                  <td>
                    <Tick
                      label={called}
                      isSelected={chosen.includes(id)}
                      onChange={(isIn) =>
                        form.setValue('chosen', isIn ? [...chosen, id] : chosen.filter((c) => c !== id))
                      }
                    />
                  </td>
                  <td>{y.lastKg === null ? say('none') : weightText(y.lastKg, unit, species)}</td>
                  <td>
                    {y.sex === 'unknown' ? (
                      <Choice<Sex>
                        label={say('Sex of {called}', { called })}
                        isLabelHidden
                        value={sexes[id] ?? 'unknown'}
                        options={[
                          ['unknown', say('not looked')],
                          ['female', say('female')],
                          ['male', say('male')],
                        ]}
                        onChange={(sex) => form.setValue('sexes', { ...sexes, [id]: sex })}
                      />
                    ) : (
                      y.sex
                    )}
                  </td>
                  <td>
                    {y.tag.kind === 'none' ? (
                      <FormField
                        name={`numbers.${id}`}
                        label={say('Number of {called}', { called })}
                        isLabelHidden
                        style={{ width: 130 }}
                      />
                    ) : (
                      say('worn')
                    )}
                  </td>
                  <td>{y.weaning.isReady ? say('ready') : waitsText(y.weaning)}</td>
                </tr>
              );
            })}
          </tbody>
        </LineTable>
        {anyReady ? null : <Small>{say('None is ready by age and weight: tick any you are weaning anyway.')}</Small>}
        <FieldRow $gap={3}>
          <FormField name="on" label={say('On')} type="date" />
          {isFirstStep ? null : (
            <FormGroup name="groupId" label={say('To the group')} none={say('stay where they are')} species={species} />
          )}
          {dam ? (
            <FormField
              name="damScore"
              label={say('Her condition, 1 to 5')}
              inputMode="decimal"
              style={{ width: 160 }}
            />
          ) : null}
          {dam && udder ? (
            <FormChoice
              name="udder"
              label={say('Her udder')}
              options={[
                ['', say('not looked')],
                ['pass', say('sound')],
                ['fail', say(udder.fails)],
              ]}
            />
          ) : null}
        </FieldRow>
      </SendForm>
      <Small>{say('{help} The way is set under Holding.', { help: HELP[weaning.way] })}</Small>
    </Sheet>
  );
}

const HELP: Readonly<Record<LitterView['weaning']['way'], string>> = {
  'at-once': say('All at once is least work; feed them well before and look at the udders after.'),
  'by-weight': say('Each that is heavy enough: the light ones keep their milk longer.'),
  'biggest-first': say('Biggest first, the small ones a day or two longer: they catch up, and her milk goes slowly.'),
  'two-steps': say(
    'In two steps: off the milk beside her first, away from her after; they bawl less and go on growing.',
  ),
};

/** What they eat from now on. */
const FEED: Readonly<Record<LitterView['weaning']['way'], string>> = {
  'at-once': say('Feed the young what they know, more of it, and their dams less until their milk is gone.'),
  'by-weight': say('Feed the young what they know, more of it; those that stay keep their milk.'),
  'biggest-first': say('Feed the young freely with what they know, and the doe less until her milk is gone.'),
  'two-steps': say('Good hay and a little of what they know; the cow on less until her milk is gone.'),
};

/** Young that wear nothing get the next free numbers, the heaviest first. */
function numbersOf(
  young: readonly RearedView[],
  { species, bornOn }: LitterView,
  numbersFor: NumbersFor,
): Record<string, string> {
  const plain = young.filter((y) => y.tag.kind === 'none');
  const { numbers } = numbersFor({ species, sex: 'female', bornOn, count: Math.max(1, plain.length) });
  return Object.fromEntries(plain.map((y, i) => [y.tag.animalId, numbers[i] ?? '']));
}

const apartText = ({ malesApartDays }: RearingView, { bornOn }: LitterView): string =>
  say('Part the males from the females by day {malesApartDays}, {date}.', {
    malesApartDays,
    date: fullDate(isoOf(addDays(dayOf(bornOn), malesApartDays))),
  });

/** A sex is what an animal is and no fact of a day: it goes into the record. @returns what went wrong */
async function writeSexes(young: readonly RearedView[], typed: WeanTyped): Promise<string | undefined> {
  for (const y of young) {
    const sex = typed.sexes[y.tag.animalId];
    if (sex === undefined || sex === 'unknown' || !typed.chosen.includes(y.tag.animalId)) continue;
    try {
      await ask(`/api/animals/${y.tag.animalId}`, { method: 'PATCH', body: { version: y.version, sex } });
    } catch (error) {
      return (error as Error).message;
    }
  }
  return undefined;
}
