import { MARK_COLOURS, MARK_PLACES, type ScoreSettings, say } from '@yaylak/contract';
import { CONDITION_STAGES, MOBS, type Mob } from '@yaylak/core';
import { Choice } from '../../../parts/Choice';
import { Field } from '../../../parts/Field';
import { Row, Small } from '../../../parts/Panel';
import { MOB_WORDS, STAGE_WORDS } from '../../../words/condition';

interface Props {
  readonly settings: ScoreSettings | undefined;
  /** The job weighs in a crate as well. */
  readonly isCrate: boolean;
  readonly startedBy: string;
  readonly onChange: (settings: ScoreSettings) => void;
}

type Colour = (typeof MARK_COLOURS)[number];
const NEW: ScoreSettings = { stage: 'mating', scorers: [], sprays: [], place: 'shoulder' };

/** Whose hands, against which aim, and which mobs get a spray. */
export function ScoreSettingsForm({ settings = NEW, isCrate, startedBy, onChange }: Props) {
  const { stage, scorers, sprays, place } = settings;
  const set = (change: Partial<ScoreSettings>): void => onChange({ ...settings, ...change });
  const second = scorers[1] ?? '';
  const spray = (mob: Mob, colour: Colour | 'none'): void =>
    set({
      sprays: MOBS.flatMap((m) => {
        if (m === mob) return colour === 'none' ? [] : [{ mob: m, colour }];
        return sprays.filter((s) => s.mob === m);
      }),
    });
  return (
    <>
      <Row $gap={3}>
        <Choice
          label={say('Aim')}
          value={stage}
          options={CONDITION_STAGES.map((s) => [s, STAGE_WORDS[s]])}
          onChange={(next) => set({ stage: next })}
        />
        <Field
          label={say('Scored by')}
          value={scorers[0] ?? startedBy}
          onChange={(name) => set({ scorers: second ? [name, second] : [name] })}
        />
        <Field
          label={say('And, to compare, by')}
          value={second}
          onChange={(name) => set({ scorers: name === '' ? scorers.slice(0, 1) : [scorers[0] ?? startedBy, name] })}
        />
      </Row>
      <Row $gap={3}>
        {MOBS.map((mob) => (
          <Choice
            key={mob}
            label={say('Spray the {mob}', { mob: MOB_WORDS[mob] })}
            value={sprays.find((s) => s.mob === mob)?.colour ?? 'none'}
            options={[['none', say('not at all')], ...MARK_COLOURS.map((c) => [c, say(c)] as const)]}
            onChange={(colour) => spray(mob, colour)}
          />
        ))}
        <Choice
          label={say('On which part')}
          value={place}
          options={MARK_PLACES.map((p) => [p, say(p)])}
          onChange={(next) => set({ place: next })}
        />
      </Row>
      <Small>
        {say(
          'By hand over the backbone and the short ribs, the animal standing free and at ease. One scorer a job is best; with two, each types his own, and how they differ is shown under Condition.{value}',
          {
            value: isCrate
              ? ` ${say('Score before the crate or after it: an animal hunched in a crate feels thinner than it is.')}`
              : '',
          },
        )}
      </Small>
    </>
  );
}
