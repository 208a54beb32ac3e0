import {
  AFTERBIRTH_WORDS,
  chanceText,
  EASE_WORDS,
  MOTHERING_WORDS,
  PEN_STAGE_WORDS,
  SHIPPED_TEMPLATES,
  type BirthSeen,
  type YoungSeen,
  say,
  SPECIES_WORDS,
} from '@yaylak/contract';
import { useQuery } from '@tanstack/react-query';
import styled from 'styled-components';
import { deviceMoment } from '../../api/deviceClock';
import { holdingQuery } from '../../api/queries';
import { useStartJob } from '../../shared/jobs/useStartJob';
import { Button } from '../../parts/Button';
import { Row, Small, Stack } from '../../parts/Panel';
import { Heading, Item, Rows } from '../../parts/rows';
import { Tag } from '../../parts/Tag';
import { useUndo } from '../../parts/Undo';
import { useWrite } from '../../parts/useWrite';
import { WindowBar } from '../../parts/WindowBar';
import type { EntryDraft } from '../../outbox/useRecord';
import { bornText } from '../../words/births';
import { shortDate } from '../../words/dates';
import { weightText } from '../../words/format';
import { hourOf } from '../../words/hourOf';
import { useWeightUnit } from '../../words/useHolding';
import { Said } from '../../parts/Said';

interface Props {
  readonly births: readonly BirthSeen[];
  readonly today: string;
  readonly onFoster: (birth: BirthSeen) => void;
  readonly onLoss: (birth: BirthSeen) => void;
}

/** Births of the last days, each with what is still to do. */
export function JustBorn({ births, ...rest }: Props) {
  if (births.length === 0) return null;
  return (
    <section aria-label={say('Recent births')}>
      <Heading>
        <h2>{say('Recent births')}</h2>
        <Small>{say('the latest first')}</Small>
      </Heading>
      <Rows>
        {births.map((b) => (
          <BornRow key={b.tag.animalId} birth={b} {...rest} />
        ))}
      </Rows>
    </section>
  );
}

function BornRow({ birth, today, onFoster, onLoss }: { readonly birth: BirthSeen } & Omit<Props, 'births'>) {
  const write = useWrite();
  const undo = useUndo();
  const start = useStartJob();
  const { tag, stage, handling, afterbirth } = birth;
  const name = tag.name ?? tag.text;
  const record = async (entry: EntryDraft, done: string): Promise<void> => {
    const refused = await write([entry], done);
    if (refused.length > 0) undo.say(refused.join(' '));
  };
  const base = { animalId: tag.animalId, on: today };
  const handle = async (): Promise<void> => {
    const plan = SHIPPED_TEMPLATES.find((t) => t.id === 'newborn');
    if (!plan) return;
    const problem = await start({
      name: say('{value} of {name}, first handling', { value: SPECIES_WORDS[birth.species].young.unknown[1], name }),
      stations: plan.stations.filter((s) => s !== 'sample'),
      settings: plan.settings,
      gates: [],
      animalIds: [tag.animalId],
    });
    if (problem) undo.say(problem);
  };
  const next = stage?.next;
  const isWaiting = afterbirth?.state === 'waiting' || afterbirth?.state === 'retained';
  return (
    <BornItem role="group" aria-label={say('Born of {name}', { name })}>
      <div>
        <Row>
          <Tag tag={tag} />
          {tag.name ? <b>{tag.name}</b> : null}
          <span>{bornText(birth.alive, birth.dead, birth.species)}</span>
        </Row>
        <Small>
          {[
            `${shortDate(birth.on)}${birth.at ? `, ${birth.at.slice(11)}` : ''}`,
            ...(birth.ease ? [EASE_WORDS[birth.ease]] : []),
            ...(birth.mothering ? [MOTHERING_WORDS[birth.mothering]] : []),
            ...(birth.sires.length > 0
              ? [
                  say('by {list}', {
                    list: birth.sires
                      .map(
                        (s) =>
                          `${s.tag.name ?? s.tag.text}${s.probability < 0.99 ? ` ${chanceText(s.probability)}` : ''}`,
                      )
                      .join(` ${say('or')} `),
                  }),
                ]
              : []),
            ...(stage ? [say('in the {pen}', { pen: PEN_STAGE_WORDS[stage.now] })] : []),
            ...(birth.reason ? [say('queried: {reason}', { reason: birth.reason })] : []),
          ].join(', ')}
          .
        </Small>
        <YoungLine birth={birth} today={today} />
        {birth.orphans > 0 ? (
          <Small>
            <Said
              text={'<0>{orphans} {orphans, plural, one {orphan} other {orphans}}{value}.</0> Foster or bottle-feed.'}
              values={{
                orphans: birth.orphans,
                value: birth.goneOn
                  ? say(': the dam has been gone since {date}', { date: shortDate(birth.goneOn) })
                  : '',
              }}
              parts={{ 0: <b /> }}
            />
          </Small>
        ) : null}
        {afterbirth && afterbirth.state !== 'passed' ? (
          <Small>
            <b>{say('Afterbirth {afterbirth}.', { afterbirth: AFTERBIRTH_WORDS[afterbirth.state] })}</b>
            {afterbirth.heldSince
              ? ` ${say('She is not mated until her womb is looked at and clear. Ask the vet; never pull.')}`
              : ''}
          </Small>
        ) : null}
        <Row>
          {isWaiting ? (
            <Button
              kind="quiet"
              aria-label={say('Afterbirth of {name} passed', { name })}
              onPress={() =>
                void record(
                  { type: 'afterbirth', ...base, state: 'passed' },
                  say('Afterbirth of {name} passed', { name }),
                )
              }
            >
              {say('Afterbirth passed')}
            </Button>
          ) : null}
          {afterbirth?.state === 'waiting' ? (
            <Button
              kind="quiet"
              aria-label={say('Afterbirth of {name} held back', { name })}
              onPress={() =>
                void record(
                  { type: 'afterbirth', ...base, state: 'retained' },
                  say('Afterbirth of {name} held back', { name }),
                )
              }
            >
              {say('Held back')}
            </Button>
          ) : null}
          {birth.rears > 0 ? (
            <>
              <Button kind="quiet" aria-label={say('Foster young of {name}', { name })} onPress={() => onFoster(birth)}>
                {say('Foster')}
              </Button>
              <Button kind="quiet" aria-label={say('A young of {name} died', { name })} onPress={() => onLoss(birth)}>
                {say('Record a death')}
              </Button>
            </>
          ) : null}
        </Row>
      </div>
      {handling ? (
        <WindowBar window={handling.window} today={today} />
      ) : next ? (
        <WindowBar window={next.window} today={today} />
      ) : (
        <span />
      )}
      <Stack $gap={2}>
        {handling ? (
          <Button
            kind={handling.isOpen ? 'main' : 'plain'}
            aria-label={say('Weigh and tag young of {name}', { name })}
            onPress={() => void handle()}
          >
            {say('Weigh and tag {left}', { left: handling.left })}
          </Button>
        ) : null}
        {next?.isOpen ? (
          <Button
            aria-label={say('{name} to the {pen}', { name, pen: PEN_STAGE_WORDS[next.stage] })}
            onPress={() =>
              void record(
                { type: 'pen-stage', ...base, stage: next.stage },
                say('{name} went to the {pen}', { name, pen: PEN_STAGE_WORDS[next.stage] }),
              )
            }
          >
            {say('To the {pen}', { pen: PEN_STAGE_WORDS[next.stage] })}
          </Button>
        ) : null}
      </Stack>
    </BornItem>
  );
}

/** Its buttons one under the other, so that the words keep their width. */
const BornItem = styled(Item)`
  grid-template-columns: minmax(0, 1fr) 170px 168px;
`;

/** Each young in a word; of a litter that is counted, what it has to be said of. */
function YoungLine({
  birth: { young, species, tag, at },
  today,
}: {
  readonly birth: BirthSeen;
  readonly today: string;
}) {
  const unit = useWeightUnit();
  const words = SPECIES_WORDS[species].young;
  const thirsty = young.filter((y) => y.colostrumBy !== null);
  const each = young.map((y) =>
    [
      y.tag.kind === 'none' ? words[y.sex === 'castrate' ? 'male' : y.sex][0] : y.tag.text,
      ...(y.birthKg === null ? [] : [weightText(y.birthKg, unit, species)]),
      ...(y.diedOn === null ? [] : ['died']),
      ...(y.rearedBy === null
        ? []
        : [y.rearedBy === 'by-hand' ? say('by hand') : say('under {n}', { n: y.rearedBy.name ?? y.rearedBy.text })]),
    ].join(' '),
  );
  return (
    <>
      {young.length > 0 && young.length <= 4 ? <Small>{each.join('; ')}.</Small> : null}
      {thirsty.length > 0 && at !== null ? (
        <FirstMilk thirsty={thirsty} dam={tag.name ?? tag.text} today={today} />
      ) : null}
    </>
  );
}

/** Sucked now, whenever it was to be by: of one born at 20:00 that is tomorrow, and it is pressed today. */
function FirstMilk({
  thirsty,
  dam,
  today,
}: {
  readonly thirsty: readonly YoungSeen[];
  readonly dam: string;
  readonly today: string;
}) {
  const write = useWrite();
  const undo = useUndo();
  const { data: holding } = useQuery(holdingQuery);
  const by = thirsty[0]?.colostrumBy ?? '';
  const had = async (): Promise<void> => {
    const at = hourOf(today, holding?.now ?? deviceMoment());
    const refused = await write(
      thirsty.map((y) => ({ type: 'colostrum', animalId: y.tag.animalId, on: today, at, how: 'sucked' })),
      say('Colostrum for {n} of {dam}', { n: thirsty.length, dam }),
    );
    if (refused.length > 0) undo.say(refused.join(' '));
  };
  return (
    <Row>
      <Small>
        {say('Colostrum for {n} by {part} on {date}.', { n: thirsty.length, part: by.slice(11), date: shortDate(by) })}
      </Small>
      <Button kind="quiet" aria-label={say('Young of {dam} had colostrum', { dam })} onPress={() => void had()}>
        {say('All have sucked')}
      </Button>
    </Row>
  );
}
