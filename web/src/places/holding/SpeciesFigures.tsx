import type { HoldingView } from '@yaylak/contract';
import { readTypedNumber, SPECIES_TABLE, type Species, type SpeciesSettings, type WeightUnit } from '@yaylak/core';
import { Fragment, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useUnsaved } from '../../parts/unsaved';
import styled from 'styled-components';
import { Button } from '../../parts/Button';
import { Chip } from '../../parts/Chip';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { Row, Small } from '../../parts/Panel';
import { fieldLook } from '../../parts/fieldLook';
import { colour, space } from '../../theme/tokens';
import { QUESTIONS, type FigureField, type QuestionId } from './questions';
import { figureLines, fillIn, flatFigures, type FlatFigure } from './figures';
import type { SaveHolding } from '../../parts/useSaveHolding';
import { lower, say, SOURCE_NOTES } from '@yaylak/contract';

interface Props {
  readonly species: Species;
  readonly holding: HoldingView;
  readonly onSave: SaveHolding;
}

const FIELD_WORDS: Readonly<Record<FigureField, string>> = {
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
const wordsOf = (field: FigureField, unit: WeightUnit): string =>
  `${FIELD_WORDS[field]}${field.includes('Kg') ? `, ${unit}` : ''}`;

const FIELDS = Object.keys(FIELD_WORDS) as FigureField[];

/** A yes or no is kept as one. */
const asKept = (typed: string): string | boolean => (typed === 'true' || typed === 'false' ? typed === 'true' : typed);

/** The species table as the holding has it, a short page a question, each figure with where its default comes from. */
export function SpeciesFigures({ species, holding, onSave }: Props) {
  const settings = holding.species[species];
  const { unit } = holding;
  const [draft, setDraft] = useState<Readonly<Record<string, string>>>({});
  const [problem, setProblem] = useState<string>();
  const [search, setSearch] = useSearchParams();
  const [wanted, setWanted] = useState('');
  useUnsaved(Object.keys(draft).length > 0);
  const overridden = holding.overrides[species] ?? {};
  const question = QUESTIONS.find((q) => q.id === search.get('figures')) ?? QUESTIONS[0];
  const isSearching = wanted.trim() !== '';
  const found = FIELDS.filter((field) => fits(field, wanted, settings));
  const shown: readonly FigureField[] = isSearching ? found : question.fields;
  const own = shown.filter((field) => field in overridden);
  const isChanged = (fields: readonly FigureField[]): boolean =>
    Object.keys(draft).some((path) => fields.some((field) => path === field || path.startsWith(`${field}.`)));

  const save = async (): Promise<void> => {
    let changed: Partial<SpeciesSettings> = overridden;
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
            words: wordsOf(field as FigureField, unit),
            typed,
          }),
        );
      changed = fillIn(
        { ...settings, ...changed },
        changed,
        path,
        number.kind === 'number' && !isText ? number.value : chosen.has(path) ? asKept(typed) : typed,
        unit,
      );
    }
    setProblem(await onSave({ species: { ...holding.overrides, [species]: changed } }));
  };
  const reset = async (fields: readonly FigureField[]): Promise<void> => {
    const rest = Object.fromEntries(Object.entries(overridden).filter(([field]) => !fields.some((f) => f === field)));
    setProblem(await onSave({ species: { ...holding.overrides, [species]: rest } }));
  };
  return (
    <>
      <Field
        label={say('Look for a figure')}
        value={wanted}
        onChange={setWanted}
        placeholder={say('weaning, withers, ram …')}
        style={{ width: 280, marginTop: 12 }}
      />
      {isSearching ? null : (
        <Row role="group" aria-label={say('What the figures are for')} style={{ marginTop: 12 }}>
          {QUESTIONS.map((q) => (
            <Chip
              key={q.id}
              type="button"
              aria-pressed={q === question}
              onClick={() => setSearch((now) => withFigures(now, q.id), { replace: true })}
            >
              {q.words}
              {isChanged(q.fields) ? ` ${say('(typed)')}` : ''}
            </Chip>
          ))}
        </Row>
      )}
      <h3 style={{ marginTop: 16 }} role="status">
        {isSearching
          ? say('{n} {n, plural, one {figure} other {figures}} with “{wanted}”', { n: found.length, wanted })
          : question.ask}
      </h3>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          void save();
        }}
      >
        <Table>
          <tbody>
            {shown.map((field) => (
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
                    <Button kind="quiet" onPress={() => void reset([field])}>
                      {say('Own figure. Back to {value}', {
                        value:
                          JSON.stringify(SPECIES_TABLE[species][field]).length < 40
                            ? flatFigures(field, SPECIES_TABLE[species][field], unit)
                                .map((f) => f.value)
                                .join(', ')
                            : say('the shipped ones'),
                      })}
                    </Button>
                  ) : (
                    <Small>{say('As shipped')}</Small>
                  )}
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
          {own.length > 1 ? (
            <Button onPress={() => void reset(own)}>{say('All {n} own figures here back', { n: own.length })}</Button>
          ) : null}
        </Row>
      </form>
    </>
  );
}

/** The address with the question that is open. */
function withFigures(now: URLSearchParams, id: QuestionId): URLSearchParams {
  const next = new URLSearchParams(now);
  next.set('figures', id);
  return next;
}

/** Whether a figure's words, its source or one of its parts hold all that is looked for. */
function fits(field: FigureField, wanted: string, settings: SpeciesSettings): boolean {
  const words = lower(
    [FIELD_WORDS[field], SOURCE_NOTES[field], ...flatFigures(field, settings[field]).map((f) => f.label)].join(' '),
  );
  return lower(wanted.trim())
    .split(/\s+/)
    .every((word) => words.includes(word));
}

interface FigureProps {
  readonly figure: FlatFigure;
  /** As it is read out, by itself. */
  readonly name: string;
  readonly typed: string | undefined;
  readonly onType: (typed: string) => void;
}

function Figure({ figure: { own, value, choices }, name, typed, onType }: FigureProps) {
  const now = typed ?? value;
  if (choices) return <Choice label={name} isLabelHidden value={now} options={choices} onChange={onType} />;
  return (
    <label>
      {own}
      <input
        aria-label={name}
        value={now}
        onChange={(e) => onType(e.target.value)}
        data-wide={!/^-?[\d.]+$/.test(value) || undefined}
      />
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
