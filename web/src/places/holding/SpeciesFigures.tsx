import type { HoldingView } from '@yaylak/contract';
import { readTypedNumber, SPECIES_TABLE, type Species, type SpeciesSettings, type WeightUnit } from '@yaylak/core';
import { Fragment, useState } from 'react';
import { useUnsaved } from '../../parts/unsaved';
import styled from 'styled-components';
import { Button } from '../../parts/Button';
import { Row, Small } from '../../parts/Panel';
import { fieldLook } from '../../parts/fieldLook';
import { colour, space } from '../../theme/tokens';
import { figureLines, fillIn, flatFigures, type FlatFigure } from './figures';
import type { SaveHolding } from '../../parts/useSaveHolding';
import { say, SOURCE_NOTES } from '@yaylak/contract';

interface Props {
  readonly species: Species;
  readonly holding: HoldingView;
  readonly onSave: SaveHolding;
}

/** Breeds have a list of their own. */
const FIELD_WORDS: Readonly<Record<Exclude<keyof SpeciesSettings, 'breeds'>, string>> = {
  gestationDays: say('Carrying, days'),
  overdueDays: say('Waited for past the usual range, days'),
  femaleFirstMatingDays: say('First mating of a female, days old'),
  heatCycleDays: say('From heat to heat, days'),
  femalesPerMale: say('Females to one male'),
  waitAfterBirthDays: say('From a birth to the next service, days'),
  standingHeatHours: say('Standing heat, hours'),
  serviceHours: say('Service, hours from the start of standing heat'),
  mating: say('Mating: who, and how heats are judged'),
  pairing: say('Pairs not put together'),
  choosing: say('Choosing: crops and base years'),
  selling: say('Selling: keep, days on feed, fat'),
  grownShare: say('Share of the grown weight by year'),
  season: say('The season, days before or after'),
  tests: say('Tests for young: days after service, finds those in young, and those empty'),
  carrying: say('In young: aims, and what a mistake costs'),
  carryingSteps: say('Steps before a birth'),
  rearing: say('From the birth to weaning'),
  condition: say('Condition: scores wanted'),
  scoring: say('Rhythm of scoring, days'),
  weaningDays: say('Weaning, days old'),
  standardAgesDays: say('Ages a weight is set to, days'),
  birthWeightKg: say('Usual birth weight by litter size'),
  readingSdShare: say('Gut fill and scale, share of body weight'),
  perCmHeightKg: say('Weight for a centimetre of height at the withers'),
  longestCm: say('Longest body measure taken, cm'),
  matureWeightKg: say('Weight when grown'),
  heaviestKg: say('Heaviest reading taken'),
  fastestGainKgPerDay: say('Fastest gain a day'),
  growthFactors: say('Like-for-like factors'),
  weighing: say('Weighing rhythm, days old'),
  identifiersAdvised: say('Tags an animal should wear'),
  numberTemplate: say('Template of new numbers'),
};

/** The field in words, weights with the unit they are typed in. */
const wordsOf = (field: keyof typeof FIELD_WORDS, unit: WeightUnit): string =>
  `${FIELD_WORDS[field]}${field.includes('Kg') ? `, ${unit}` : ''}`;

const FIELDS = Object.keys(FIELD_WORDS) as (keyof typeof FIELD_WORDS)[];

/** A yes or no is kept as one. */
const asKept = (typed: string): string | boolean => (typed === 'true' || typed === 'false' ? typed === 'true' : typed);

/** The species table as the holding has it, each figure with where its default comes from. */
export function SpeciesFigures({ species, holding, onSave }: Props) {
  const settings = holding.species[species];
  const { unit } = holding;
  const [draft, setDraft] = useState<Readonly<Record<string, string>>>({});
  const [problem, setProblem] = useState<string>();
  useUnsaved(Object.keys(draft).length > 0);
  const overridden = holding.overrides[species] ?? {};

  const save = async (): Promise<void> => {
    let own: Partial<SpeciesSettings> = overridden;
    const chosen = new Set(
      FIELDS.flatMap((f) => flatFigures(f, settings[f])).flatMap((f) => (f.choices ? [f.path] : [])),
    );
    for (const [path, typed] of Object.entries(draft)) {
      const [field = ''] = path.split('.');
      const isText = path === 'numberTemplate' || path.endsWith('.name') || chosen.has(path);
      const number = readTypedNumber(typed);
      if (!isText && number.kind === 'refused')
        return setProblem(
          say('{words}: “{typed}” is not a number.', {
            words: wordsOf(field as keyof typeof FIELD_WORDS, unit),
            typed,
          }),
        );
      own = fillIn(
        { ...settings, ...own },
        own,
        path,
        number.kind === 'number' && !isText ? number.value : chosen.has(path) ? asKept(typed) : typed,
        unit,
      );
    }
    setProblem(await onSave({ species: { ...holding.overrides, [species]: own } }));
  };
  const reset = async (field: keyof SpeciesSettings): Promise<void> => {
    const { [field]: _, ...rest } = overridden;
    setProblem(await onSave({ species: { ...holding.overrides, [species]: rest } }));
  };
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        void save();
      }}
    >
      <Table>
        <tbody>
          {FIELDS.map((field) => (
            <tr key={field}>
              <th scope="row">
                {wordsOf(field, unit)}
                <Small>{SOURCE_NOTES[field]}</Small>
              </th>
              <td>
                {figureLines(flatFigures(field, settings[field], unit)).map(({ group, figures }) => (
                  <Fragment key={figures[0]?.path}>
                    {group === '' ? null : <Small>{group}</Small>}
                    <Line>
                      {figures.map((figure) => (
                        <Figure
                          key={figure.path}
                          figure={figure}
                          name={`${wordsOf(field, unit)} ${figure.label}`.trim()}
                          typed={draft[figure.path]}
                          onType={(typed) => setDraft({ ...draft, [figure.path]: typed })}
                        />
                      ))}
                    </Line>
                  </Fragment>
                ))}
                {field in overridden ? (
                  <Button kind="quiet" onPress={() => void reset(field)}>
                    {say('Own figure. Back to {value}', {
                      value:
                        JSON.stringify(SPECIES_TABLE[species][field]).length < 40
                          ? flatFigures(field, SPECIES_TABLE[species][field], unit)
                              .map((f) => f.value)
                              .join(', ')
                          : say('the shipped ones'),
                    })}
                  </Button>
                ) : null}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      {problem ? <p role="alert">{problem}</p> : null}
      <Row style={{ marginTop: 12 }}>
        <Button type="submit" kind="main" isDisabled={Object.keys(draft).length === 0}>
          {say('Save the figures')}
        </Button>
      </Row>
    </form>
  );
}

interface FigureProps {
  readonly figure: FlatFigure;
  /** As it is read out, by itself. */
  readonly name: string;
  readonly typed: string | undefined;
  readonly onType: (typed: string) => void;
}

function Figure({ figure: { own, value, choices }, name, typed, onType }: FigureProps) {
  const field = {
    'aria-label': name,
    value: typed ?? value,
    onChange: (e: { readonly target: { readonly value: string } }) => onType(e.target.value),
  };
  return (
    <label>
      {own}
      {choices ? (
        <select {...field}>
          {choices.map(([kept, words]) => (
            <option key={kept} value={kept}>
              {words}
            </option>
          ))}
        </select>
      ) : (
        <input {...field} data-wide={!/^-?[\d.]+$/.test(value) || undefined} />
      )}
    </label>
  );
}

const Line = styled(Row)`
  align-items: flex-end;
  margin-bottom: ${space(2)};
`;
const Table = styled.table`
  margin-top: ${space(3)};
  th {
    text-align: left;
    vertical-align: top;
    font-weight: 600;
    p {
      font-weight: 400;
    }
    width: 280px;
    padding: ${space(2)} ${space(4)} ${space(2)} 0;
  }
  tr {
    border-bottom: 1px solid ${colour('line')};
  }
  label {
    display: flex;
    flex-direction: column;
    font-size: 12px;
    color: ${colour('inkSoft')};
  }
  input {
    ${fieldLook}
    width: 72px;
    padding: 0 ${space(2)};
    font-size: 15px;
  }
  select {
    ${fieldLook}
    font-size: 15px;
  }
  input[data-wide] {
    width: 190px;
  }
`;
