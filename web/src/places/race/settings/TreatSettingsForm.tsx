import type { ProductView, StationSettings } from '@yaylak/contract';
import { Field } from '../../../parts/Field';
import { Row, Small } from '../../../parts/Panel';
import { Tick } from '../../../parts/Tick';
import { say } from '@yaylak/contract';

/** What is given at the race, and why. */
export function TreatSettingsForm({
  settings,
  products,
  onChange,
}: {
  readonly settings: StationSettings;
  readonly products: readonly ProductView[];
  readonly onChange: (change: Partial<StationSettings>) => void;
}) {
  const treat = settings.treat ?? { productIds: [] };
  return (
    <>
      {products.length === 0 ? (
        <Small>{say('No products yet. They are kept under Remedies, with what their label says.')}</Small>
      ) : null}
      <Row $gap={3}>
        {products.map((p) => (
          <Tick
            key={p.id}
            label={p.facts.name}
            isSelected={treat.productIds.includes(p.id)}
            onChange={(isIn) => {
              const productIds = products.flatMap(({ id }) =>
                (id === p.id ? isIn : treat.productIds.includes(id)) ? [id] : [],
              );
              onChange({ treat: { ...treat, productIds } });
            }}
          />
        ))}
        <Field
          label={say('Why (goes into the register)')}
          value={treat.reason ?? ''}
          onChange={(reason) => onChange({ treat: { ...treat, reason } })}
        />
      </Row>
      <Small>
        {say(
          'The dose is your label’s, from the right weight. The label and your vet decide. Nothing poured on a wet back; gloves on; needles into the sharps box.',
        )}
      </Small>
    </>
  );
}
