import { useQuery } from '@tanstack/react-query';
import { CAUSE_WORDS, DepartureEntry, type AnimalView, type OutletView, say } from '@yaylak/contract';
import { DEATH_CAUSES, LEAVING_WAYS, scaleUnit, toKg, type DeathCause } from '@yaylak/core';
import { holdingQuery, withheldQuery } from '../../api/queries';
import { outletsQuery } from '../../api/selling';
import type { EntryDraft } from '../../outbox/useRecord';
import { FieldRow } from '../../parts/form/FieldRow';
import { FormChoice, FormField, FormTick } from '../../parts/form/fields';
import { SendForm } from '../../parts/form/SendForm';
import { madeEntry } from '../../parts/form/useEntryForm';
import { useTypedForm, type Against } from '../../parts/form/useTypedForm';
import { NotePanel, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useWrite } from '../../parts/useWrite';
import { figureTyped, minorTyped, moneyFaults } from '../../words/typed';
import { reservationWords } from '../../words/reserved';
import { useWeightUnit } from '../../words/useHolding';
import { buyerToldLabel, lastWithheld, withheldToText } from '../../words/withheld';

interface Props {
  readonly view: AnimalView;
  readonly today: string;
  readonly onClose: () => void;
}

const HOW = { sold: say('sold alive'), slaughtered: say('slaughtered'), died: say('died'), lost: say('lost') } as const;

interface Typed {
  readonly on: string;
  readonly how: (typeof LEAVING_WAYS)[number];
  readonly cause: DeathCause;
  readonly reason: string;
  readonly isTold: boolean;
  /** Empty of one that goes to none of the holding's outlets. */
  readonly outletId: string;
  readonly buyer: string;
  readonly price: string;
  readonly kg: string;
  readonly haulage: string;
}

/**
 * It left the holding. Where something of it is withheld on that day the sheet says so at once: for slaughter there is
 * no way round, sold alive the buyer is told first.
 */
export function LeaveSheet({ view, today, onClose }: Props) {
  const { animalId } = view.row.tag;
  const write = useWrite();
  const { data: holding } = useQuery(holdingQuery);
  const { data: outlets = [] } = useQuery(outletsQuery);
  const unit = useWeightUnit();
  const scale = scaleUnit(view.row.species, unit);
  const here = outlets.filter((o) => o.facts.species === view.row.species && !o.isClosed);
  const saleOf = ({ outletId, buyer, price, kg, haulage }: Typed) => ({
    ...toWhom(
      here.find((o) => o.id === outletId),
      buyer,
    ),
    ...(price.trim() === '' ? {} : { priceMinor: minorTyped(price) }),
    ...(kg.trim() === '' ? {} : { kg: toKg(figureTyped(kg), scale) }),
    ...(haulage.trim() === '' ? {} : { haulageMinor: minorTyped(haulage) }),
  });
  const draftOf = (typed: Typed): EntryDraft => {
    const { on, how, cause, reason, isTold } = typed;
    return {
      type: 'departure',
      animalId,
      on,
      how,
      ...(how === 'died' ? { cause } : {}),
      ...(how === 'sold' && isTold && until !== undefined ? { toldUntil: until } : {}),
      ...(reason.trim() === '' ? {} : { reason: reason.trim() }),
      ...(how === 'sold' || how === 'slaughtered' ? saleOf(typed) : {}),
    };
  };
  const form = useTypedForm<Typed>({
    start: {
      on: today,
      how: 'sold',
      cause: 'unknown',
      reason: '',
      isTold: false,
      outletId: '',
      buyer: view.reservation?.buyer ?? '',
      price: '',
      kg: '',
      haulage: '',
    },
    made: (typed) => [madeEntry(DepartureEntry, draftOf(typed))],
    also: ({ how: way, isTold, price, haulage }): Against => ({
      ...(way === 'slaughtered' && counts.length > 0 ? { how: say('It cannot go for slaughter on this day.') } : {}),
      ...(way === 'sold' && until !== undefined && !isTold
        ? { isTold: say('Tell the buyer first, and tick it.') }
        : {}),
      ...(way === 'sold' || way === 'slaughtered' ? moneyFaults({ price, haulage }) : {}),
    }),
    words: {
      on: say('Enter the day it left.'),
      reason: say('Use fewer words.'),
      buyer: say('Use fewer words.'),
      kg: say('Type what the scale said, or leave it empty.'),
    },
    fieldOf: { priceMinor: 'price', haulageMinor: 'haulage' },
  });
  const [on, how, outletId] = form.watch(['on', 'how', 'outletId']);
  const { data: withheld = [] } = useQuery({ ...withheldQuery(animalId, on), enabled: on !== '' });
  const counts = withheld.filter((w) => how === 'sold' || (how === 'slaughtered' && w.of === 'meat'));
  const until = lastWithheld(withheld);
  return (
    <Sheet title={say('Left the holding')} isOpen onClose={onClose}>
      <SendForm
        form={form}
        send={(typed) =>
          write([draftOf(typed)], say('{text} left: {how}', { text: view.row.tag.text, how: HOW[typed.how] }))
        }
        onDone={onClose}
        submit={say('Save')}
      >
        <FieldRow $gap={3}>
          <FormChoice name="how" label={say('How')} options={LEAVING_WAYS.map((way) => [way, HOW[way]])} />
          {how === 'died' ? (
            <FormChoice name="cause" label={say('Of what')} options={DEATH_CAUSES.map((c) => [c, CAUSE_WORDS[c]])} />
          ) : null}
          <FormField name="on" label={say('On')} type="date" />
        </FieldRow>
        {how === 'sold' || how === 'slaughtered' ? (
          <FieldRow $gap={3}>
            {here.length > 0 ? (
              <FormChoice
                name="outletId"
                label={say('To')}
                options={[['', say('no outlet')], ...here.map((o) => [o.id, o.facts.name] as const)]}
              />
            ) : null}
            {outletId === '' ? <FormField name="buyer" label={say('To whom')} hint={say('if it is known')} /> : null}
            <FormField
              name="price"
              label={say('Price, {n}', { n: holding?.currency ?? '' })}
              inputMode="decimal"
              hint={say('if it is known')}
              style={{ width: 130 }}
            />
            <FormField
              name="kg"
              label={say('Live weight, {scale}', { scale })}
              inputMode="decimal"
              hint={say('if it was weighed')}
              style={{ width: 130 }}
            />
            <FormField
              name="haulage"
              label={say('Haulage, {n}', { n: holding?.currency ?? '' })}
              inputMode="decimal"
              hint={say('for this head')}
              style={{ width: 130 }}
            />
          </FieldRow>
        ) : null}
        {counts.length > 0 ? (
          <NotePanel $tone="madder">
            {counts.map((w) => (
              <p key={w.of}>{withheldToText(w, how === 'slaughtered')}</p>
            ))}
          </NotePanel>
        ) : null}
        {view.reservation && how !== 'died' && how !== 'lost' ? (
          <NotePanel $tone="indigo">{reservationWords(view.reservation, holding?.currency ?? '')}</NotePanel>
        ) : null}
        {how === 'sold' && until !== undefined ? <FormTick name="isTold" label={buyerToldLabel(until, on)} /> : null}
        <FormField name="reason" label={say('Note')} />
        {how === 'slaughtered' ? (
          <Small>{say('The label, your vet and the local rules decide when meat may be used.')}</Small>
        ) : null}
      </SendForm>
    </Sheet>
  );
}

/** An outlet by its name too, which stays with the sale whatever becomes of the outlet. */
function toWhom(
  outlet: OutletView | undefined,
  buyer: string,
): { readonly outletId?: string; readonly buyer?: string } {
  if (outlet) return { outletId: outlet.id, buyer: outlet.facts.name };
  return buyer.trim() === '' ? {} : { buyer: buyer.trim() };
}
