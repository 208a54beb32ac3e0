import {
  JOB_WEIGHING,
  MARK_COLOURS,
  MARK_PLACES,
  SAMPLE_PURPOSES,
  type ProductView,
  type Station,
  type StationSettings,
  say,
} from '@yaylak/contract';
import { fromKg, scaleUnit, TAG_COLOURS, toKg, type Species, type TagColour, type WeightUnit } from '@yaylak/core';
import { Choice } from '../../../parts/Choice';
import { Field } from '../../../parts/Field';
import { Row, Small } from '../../../parts/Panel';
import { Tick } from '../../../parts/Tick';
import { GroupField } from '../../../shared/groups/GroupField';
import { PURPOSE_WORDS } from '../../../words/stations';
import type { JobPlan } from '../plan';
import { CareSettingsForm } from './CareSettingsForm';
import { LiveFigure } from './LiveFigure';
import { ScanSettingsForm } from './ScanSettingsForm';
import { ScoreSettingsForm } from './ScoreSettingsForm';
import { SortSettingsForm } from './SortSettingsForm';
import { TreatSettingsForm } from './TreatSettingsForm';

interface Props {
  readonly station: Station;
  readonly plan: JobPlan;
  readonly products: readonly ProductView[];
  readonly unit: WeightUnit;
  /** Of those who come: a pan is typed in their unit. */
  readonly species: Species | undefined;
  /** Who feels where nobody is named. */
  readonly startedBy: string;
  readonly onChange: (plan: JobPlan) => void;
}

const METHOD_WORDS = { scale: say('scale'), crate: say('crate'), tape: say('tape'), estimate: say('by eye') } as const;

/** What one station of a job has to know; nothing where there is nothing to say. */
export function StationSettingsForm({ station, plan, products, unit, species, startedBy, onChange }: Props) {
  const { settings } = plan;
  const set = (change: Partial<StationSettings>): void => onChange({ ...plan, settings: { ...settings, ...change } });
  switch (station) {
    case 'weigh':
    case 'litter': {
      const weigh = settings.weigh ?? { method: 'scale' };
      const scale = scaleUnit(species, unit);
      return (
        <Row $gap={3}>
          {station === 'weigh' ? (
            <Choice
              label={say('Weigh by')}
              value={weigh.method}
              options={JOB_WEIGHING.map((m) => [m, METHOD_WORDS[m]])}
              onChange={(method) => set({ weigh: { ...weigh, method } })}
            />
          ) : null}
          <LiveFigure
            key={scale}
            label={say('Pan or basket, {scale}', { scale })}
            value={weigh.tareKg === undefined ? undefined : fromKg(weigh.tareKg, scale)}
            onChange={(tare) => {
              const { tareKg: _, tareName: __, ...without } = weigh;
              set({
                weigh: tare === undefined ? without : { ...weigh, tareKg: Number(toKg(tare, scale).toFixed(4)) },
              });
            }}
          />
          {weigh.tareKg ? (
            <Field
              label={say('Which pan')}
              placeholder={say('blue basket')}
              value={weigh.tareName ?? ''}
              onChange={(tareName) => {
                const { tareName: _, ...without } = weigh;
                set({ weigh: tareName === '' ? without : { ...without, tareName } });
              }}
            />
          ) : null}
          {weigh.method === 'tape' || weigh.method === 'estimate' ? (
            <Small>
              {say(
                'A tape or an eye usually reads high. Weigh a few on the scale the same day: from eight pairs on your own reading is corrected.',
              )}
            </Small>
          ) : null}
        </Row>
      );
    }
    case 'treat':
      return <TreatSettingsForm settings={settings} products={products} onChange={set} />;
    case 'sample': {
      const sample = settings.sample ?? { purpose: 'blood', firstTube: '' };
      return (
        <Row $gap={3}>
          <Choice
            label={say('Taken for')}
            value={sample.purpose}
            options={SAMPLE_PURPOSES.map((p) => [p, PURPOSE_WORDS[p]])}
            onChange={(purpose) => set({ sample: { ...sample, purpose } })}
          />
          <Field
            label={say('First tube')}
            value={sample.firstTube}
            onChange={(firstTube) => set({ sample: { ...sample, firstTube } })}
          />
          <Small>{say('Tubes go on from there. A new needle for each animal.')}</Small>
        </Row>
      );
    }
    case 'scan':
      return <ScanSettingsForm settings={settings.scan} startedBy={startedBy} onChange={(scan) => set({ scan })} />;
    case 'mark': {
      const mark = settings.mark ?? { colour: 'blue', place: 'rump', purpose: '' };
      return (
        <Row $gap={3}>
          <Choice
            label={say('Spray')}
            value={mark.colour}
            options={MARK_COLOURS.map((c) => [c, say(c)])}
            onChange={(colour) => set({ mark: { ...mark, colour } })}
          />
          <Choice
            label={say('On the')}
            value={mark.place}
            options={MARK_PLACES.map((p) => [p, say(p)])}
            onChange={(place) => set({ mark: { ...mark, place } })}
          />
          <Field
            label={say('What it means')}
            value={mark.purpose}
            onChange={(purpose) => set({ mark: { ...mark, purpose } })}
          />
          <Field
            label={say('Until (may be left empty)')}
            type="date"
            value={mark.until ?? ''}
            onChange={(until) => {
              const { until: _, ...without } = mark;
              set({ mark: until === '' ? without : { ...without, until } });
            }}
          />
        </Row>
      );
    }
    case 'care':
      return <CareSettingsForm settings={settings} onChange={set} />;
    case 'move':
      return (
        <GroupField
          label={say('They go to')}
          value={settings.move?.groupId ?? ''}
          none={say('choose a group')}
          onChange={(groupId) => set({ move: { groupId } })}
        />
      );
    case 'identify': {
      const identify = settings.identify ?? { kinds: ['visual', 'electronic'] };
      return (
        <Row $gap={3}>
          {(['visual', 'electronic'] as const).map((kind) => (
            <Tick
              key={kind}
              label={kind === 'visual' ? say('A tag to read') : say('An electronic tag')}
              isSelected={identify.kinds.includes(kind)}
              onChange={(isIn) => {
                const kinds = (['visual', 'electronic'] as const).filter((k) =>
                  k === kind ? isIn : identify.kinds.includes(k),
                );
                if (kinds.length > 0) set({ identify: { ...identify, kinds } });
              }}
            />
          ))}
          <Choice
            label={say('Colour of the tag')}
            value={identify.colour ?? 'none'}
            options={[['none', say('not said')], ...TAG_COLOURS.map((c) => [c, say(c)] as const)]}
            onChange={(colour: TagColour | 'none') => {
              const { colour: _, ...without } = identify;
              set({ identify: colour === 'none' ? without : { ...without, colour } });
            }}
          />
        </Row>
      );
    }
    case 'sort':
      return <SortSettingsForm plan={plan} unit={unit} onChange={onChange} />;
    case 'score':
      return (
        <ScoreSettingsForm
          settings={settings.score}
          isCrate={plan.stations.includes('weigh') && settings.weigh?.method === 'crate'}
          startedBy={startedBy}
          onChange={(score) => set({ score })}
        />
      );
    case 'measure':
      return (
        <Small>
          {say(
            'By stick and tape, centimetres. A weight the same day says what it weighs for its height; the aim is set under Holding.',
          )}
        </Small>
      );
    case 'finish':
      return (
        <Small>
          {say(
            'Shape by eye, fat by hand at tail-head, loin, ribs and brisket. Each outlet of the species says at once whether the animal is ready for it. Feel from beside the gate, never with an arm through the bars.',
          )}
        </Small>
      );
    case 'look':
      return (
        <Small>
          {say('The holding’s standards for the species and sex, each with a letter. They are set under Holding.')}
        </Small>
      );
    case 'raddle':
      return (
        <Small>
          {say(
            'The colours of the males that run with each one; they are put in, and their raddle changed, under Mating.',
          )}
        </Small>
      );
    case 'note':
      return null;
  }
}
