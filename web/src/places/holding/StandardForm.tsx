import { StandardSetting, say } from '@yaylak/contract';
import { LOOK_POINTS, SEXES, type Sex, type Species, type StandardRule } from '@yaylak/core';
import { Button } from '../../parts/Button';
import { FieldRow } from '../../parts/form/FieldRow';
import { FormChoice, FormField } from '../../parts/form/fields';
import { SendForm } from '../../parts/form/SendForm';
import { useTypedForm } from '../../parts/form/useTypedForm';
import { newId } from '../../words/ids';

interface Props {
  readonly species: Species;
  /** The one that is changed; a new one without it. */
  readonly standard?: StandardSetting;
  /** @returns what speaks against it */
  readonly onSave: (standard: StandardSetting) => Promise<string | undefined>;
  readonly onDone: () => void;
}

const OF: readonly (readonly [key: string, words: string, sexes: readonly Sex[]])[] = [
  ['all', 'all', SEXES],
  ['female', 'females', ['female']],
  ['male', 'males', ['male']],
];
const POINTS = Array.from({ length: LOOK_POINTS }, (_, i) => i + 1);

interface Typed {
  readonly name: string;
  readonly fails: string;
  readonly kind: StandardSetting['kind'];
  readonly least: string;
  readonly rule: StandardRule;
  readonly of: string;
}

const typedOf = (standard: StandardSetting | undefined): Typed => ({
  name: standard?.name ?? '',
  fails: standard?.fails ?? '',
  kind: standard?.kind ?? 'go',
  least: standard?.least === undefined ? '' : String(standard.least),
  rule: standard?.rule ?? 'own',
  of: OF.find(([, , sexes]) => sexes.join() === standard?.sexes.join())?.[0] ?? 'all',
});

/** A standard, new or changed. How it is judged stays as it was: what was seen would mean something else. */
export function StandardForm({ species, standard, onSave, onDone }: Props) {
  const made = ({ name, fails, kind, least, rule, of }: Typed): StandardSetting => ({
    id: standard?.id ?? newId(),
    species,
    sexes: [...(OF.find(([key]) => key === of)?.[2] ?? SEXES)],
    name: name.trim(),
    fails: fails.trim(),
    kind,
    rule,
    ...(kind === 'points' && least !== '' ? { least: Number(least) } : {}),
  });
  const form = useTypedForm<Typed>({
    start: typedOf(standard),
    made: (typed) => [{ shape: StandardSetting, value: made(typed) }],
    words: { name: say('Give it a name of up to 40 letters.'), fails: say('Use fewer words.') },
  });
  const kind = form.watch('kind');
  return (
    <SendForm
      form={form}
      send={async (typed) => {
        const refused = await onSave(made(typed));
        return refused === undefined ? [] : [refused];
      }}
      onDone={() => {
        form.reset(typedOf(standard));
        onDone();
      }}
      submit={standard ? say('Save') : say('Add it')}
      more={standard ? <Button onPress={onDone}>{say('Leave it')}</Button> : null}
    >
      <FieldRow $gap={3}>
        <FormField name="name" label={say('Standard')} placeholder={say('Ears')} />
        <FormField name="fails" label={say('It fails when')} placeholder={say('torn, carried low')} />
        {standard ? null : (
          <FormChoice
            name="kind"
            label={say('Judged by')}
            options={[
              ['go', say('go or no-go')],
              ['points', '0 to 5 points'],
            ]}
          />
        )}
        {kind === 'points' ? (
          <FormChoice
            name="least"
            label={say('Fails under')}
            options={[['', say('never')], ...POINTS.map((n) => [String(n), `${n} points`] as const)]}
          />
        ) : null}
        <FormChoice
          name="rule"
          label={say('Whose rule')}
          options={[
            ['own', say('our own')],
            ['pedigree', say('pedigree')],
          ]}
        />
        <FormChoice name="of" label={say('Asked of')} options={OF.map(([key, words]) => [key, words])} />
      </FieldRow>
    </SendForm>
  );
}
