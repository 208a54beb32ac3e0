import type { StationSettings } from '@yaylak/contract';
import { CARE_KINDS, CARE_METHODS, PAINFUL_CARE } from '@yaylak/core';
import { Choice } from '../../../parts/Choice';
import { Row, Small } from '../../../parts/Panel';
import { Tick } from '../../../parts/Tick';
import { CARE_WORDS } from '../../../words/stations';
import { say } from '@yaylak/contract';

/** What is done to each animal, and how. */
export function CareSettingsForm({
  settings,
  onChange,
}: {
  readonly settings: StationSettings;
  readonly onChange: (change: Partial<StationSettings>) => void;
}) {
  const kinds = settings.care?.kinds ?? [];
  const isPainful = kinds.some(({ kind }) => PAINFUL_CARE.includes(kind));
  return (
    <>
      <Row $gap={3}>
        {CARE_KINDS.map((kind) => {
          const chosen = kinds.find((k) => k.kind === kind);
          return (
            <Row key={kind} $gap={1}>
              <Tick
                label={CARE_WORDS[kind]}
                isSelected={chosen !== undefined}
                onChange={(isIn) =>
                  onChange({
                    care: {
                      kinds: CARE_KINDS.flatMap((k) => {
                        const known = kinds.find((c) => c.kind === k);
                        if (k !== kind) return known ? [known] : [];
                        const [method] = CARE_METHODS[k];
                        return isIn ? [{ kind: k, ...(method ? { method } : {}) }] : [];
                      }),
                    },
                  })
                }
              />
              {chosen ? (
                <Choice
                  label={say('{care} how', { care: CARE_WORDS[kind] })}
                  isLabelHidden
                  value={chosen.method ?? ''}
                  options={CARE_METHODS[kind].map((m) => [m, say(m)])}
                  onChange={(method) =>
                    onChange({ care: { kinds: kinds.map((k) => (k.kind === kind ? { kind, method } : k)) } })
                  }
                />
              ) : null}
            </Row>
          );
        })}
      </Row>
      {isPainful ? (
        <Small>
          {say(
            'Docking, castrating and disbudding hurt. They are only offered here, and pressed for each animal at the race. Up to which age, by which method, with which pain relief and by whom is for your local law and your vet to say; where it is not lawful, leave it out.',
          )}
        </Small>
      ) : null}
    </>
  );
}
