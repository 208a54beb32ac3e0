import { useQuery, useQueryClient } from '@tanstack/react-query';
import { loadCheckText, type LoadFacts, type OutletView, type PlannedLoadView } from '@yaylak/contract';
import { isPaidDead, normalised, resolveIdentifier } from '@yaylak/core';
import { useRef, useState, type FormEvent } from 'react';
import { Link, useLocation, useNavigate, useParams } from 'react-router';
import { holdingQuery, identifiersQuery } from '../../api/queries';
import { changeLoad, dropLoad, loadQuery, loadsQuery, outletsQuery } from '../../api/selling';
import { Readers } from '../../shared/readers/Readers';
import { useReadings } from '../../adapters/readings/useReadings';
import { AskButton } from '../../parts/AskButton';
import { DenseTable, Frame } from '../../parts/Beside';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { NotePanel, Panel, Row, Small } from '../../parts/Panel';
import { Failed, Loading } from '../../parts/States';
import { Tag } from '../../parts/Tag';
import { countText, fullDate, shortDate, weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useUnits';
import { LoadSheet } from './LoadSheet';

/** One load: who is on it, who may not go, and who is aboard already. */
export function LoadPage() {
  const { id = '' } = useParams();
  const { data: load, error, refetch } = useQuery(loadQuery(id));
  const { data: outlets } = useQuery(outletsQuery);
  const outlet = outlets?.find((o) => o.id === load?.facts.outletId);
  if (!load || !outlet)
    return (
      <Page title="A load">
        {error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading rows={8} />}
      </Page>
    );
  return <Load load={load} outlet={outlet} />;
}

interface Said {
  readonly tone: 'moss' | 'weld' | 'madder';
  readonly words: string;
}

function Load({ load, outlet }: { readonly load: PlannedLoadView; readonly outlet: OutletView }) {
  const { data: holding } = useQuery(holdingQuery);
  const { data: identifiers } = useQuery(identifiersQuery);
  const client = useQueryClient();
  const navigate = useNavigate();
  const back = (useLocation().state as { readonly back?: string } | null)?.back;
  const [said, setSaid] = useState<Said>();
  const [isLeaving, setLeaving] = useState(false);
  const [typed, setTyped] = useState('');
  const input = useRef<HTMLInputElement>(null);
  const unit = useWeightUnit();
  const { facts, heads } = load;
  const { name, species } = outlet.facts;
  const aboard = new Set(facts.aboard ?? []);
  const stopped = heads.filter((h) => h.checks.some((c) => c.isStop));
  const today = holding?.today ?? '';

  /** @param takenId whom it is about: what is to be known of it is said at once, at the gate */
  const save = async (next: LoadFacts, words: string, takenId?: string): Promise<void> => {
    try {
      const saved = await changeLoad(load, next);
      client.setQueryData(loadQuery(load.id).queryKey, saved);
      void client.invalidateQueries({ queryKey: loadsQuery.queryKey, exact: true });
      const known = saved.heads.find((h) => h.tag.animalId === takenId)?.checks ?? [];
      setSaid({ tone: known.length > 0 ? 'weld' : 'moss', words: [words, ...known.map(loadCheckText)].join(' ') });
    } catch (error) {
      setSaid({ tone: 'madder', words: (error as Error).message });
      void client.invalidateQueries({ queryKey: loadQuery(load.id).queryKey });
    }
  };
  const withoutHead = (animalId: string): LoadFacts => ({
    ...facts,
    animalIds: facts.animalIds.filter((a) => a !== animalId),
    aboard: [...aboard].filter((a) => a !== animalId),
  });
  /** One of the load goes aboard; another is put on the load, as far as it may go. */
  const take = async (number: string): Promise<void> => {
    const found = resolveIdentifier(identifiers ?? [], number);
    if (found.kind !== 'one') {
      const words =
        found.kind === 'none'
          ? `No animal wears “${number}”. Look at the tag again.`
          : `Several animals wear “${number}”. Take the electronic number.`;
      return setSaid({ tone: 'madder', words });
    }
    const { animalId } = found;
    const head = heads.find((h) => h.tag.animalId === animalId);
    const stop = head?.checks.find((c) => c.isStop);
    if (head && stop) return setSaid({ tone: 'madder', words: `${head.tag.text} stays here. ${loadCheckText(stop)}` });
    if (head)
      return save({ ...facts, aboard: [...aboard, animalId].filter(isFirst) }, `${head.tag.text} is aboard.`, animalId);
    await save({ ...facts, animalIds: [...facts.animalIds, animalId] }, `${number.trim()} is on the load.`, animalId);
  };
  useReadings({
    onNumber: (digits) => void take(digits),
    onBadNumber: (text) => setSaid({ tone: 'madder', words: `“${text}” is no whole number. Read it again.` }),
    onWeight: () => undefined,
  });
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    if (normalised(typed) === '') return;
    void take(typed);
    setTyped('');
    input.current?.focus();
  };
  const ids = heads.map((h) => h.tag.animalId).join(',');
  return (
    <Page
      title={`Load for ${name}`}
      lead={leadText(load, today)}
      actions={
        <>
          <LinkButton as={Link} to={back ?? `/selling?species=${species}`}>
            Who is ready
          </LinkButton>
          <LinkButton as={Link} to={`/selling/list?ids=${ids}&for=${encodeURIComponent(name)}&on=${facts.on}`}>
            Load list
          </LinkButton>
          <LinkButton as={Link} to={`/selling/sheet?ids=${ids}`}>
            Sale sheet
          </LinkButton>
        </>
      }
    >
      <Panel>
        <form onSubmit={submit}>
          <Row $gap={3} style={{ alignItems: 'flex-end' }}>
            <Field
              label="Number, typed or read"
              value={typed}
              onChange={setTyped}
              inputRef={input}
              hint="On the load already: it goes aboard. Else it is put on."
            />
            <Button type="submit">Take it</Button>
            <Readers />
            <Field
              label="Goes on"
              type="date"
              value={facts.on}
              onChange={(on) => (on === '' ? undefined : void save({ ...facts, on }, `It goes on ${fullDate(on)}.`))}
            />
          </Row>
        </form>
        {said ? (
          <NotePanel $tone={said.tone} role={said.tone === 'madder' ? 'alert' : 'status'} style={{ marginTop: 12 }}>
            {said.words}
          </NotePanel>
        ) : null}
      </Panel>
      <Frame>
        <DenseTable aria-label="On the load">
          <thead>
            <tr>
              <th>Animal</th>
              <th data-figure>Last weight</th>
              <th style={{ paddingLeft: 24 }}>What to know</th>
              <th>Aboard</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {heads.map(({ tag, weight, checks }) => (
              <tr key={tag.animalId}>
                <td>
                  <Tag tag={tag} />
                </td>
                <td data-figure>
                  {weight ? weightText(weight.kg, unit, species) : ''}
                  {weight ? <Small>{shortDate(weight.on)}</Small> : null}
                </td>
                <td style={{ paddingLeft: 24 }}>
                  {checks.map((c) =>
                    c.isStop ? (
                      <p key={c.code}>
                        <b>Stays here.</b> {loadCheckText(c)}
                      </p>
                    ) : (
                      <p key={c.code}>{loadCheckText(c)}</p>
                    ),
                  )}
                </td>
                <td>{aboard.has(tag.animalId) ? 'aboard' : ''}</td>
                <td>
                  <Button
                    kind="quiet"
                    aria-label={`Take ${tag.text} off the load`}
                    onPress={() => void save(withoutHead(tag.animalId), `${tag.text} is off the load.`)}
                  >
                    Take off
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </DenseTable>
      </Frame>
      <Row $gap={3}>
        <Button
          kind="main"
          isDisabled={heads.length === 0 || stopped.length > 0 || load.isGone}
          onPress={() => setLeaving(true)}
        >
          The load leaves…
        </Button>
        {stopped.length > 0 ? (
          <Small role="status">
            {countText(stopped.length, 'head', 'head')} on it may not go. Take {stopped.length === 1 ? 'it' : 'them'}{' '}
            off first.
          </Small>
        ) : null}
        <AskButton
          kind="quiet"
          label="Give the load up"
          ask="Give it up? The animals stay as they are."
          onConfirm={() =>
            void dropLoad(load).then(
              () => {
                void client.invalidateQueries({ queryKey: loadsQuery.queryKey, exact: true });
                return navigate(`/selling?species=${species}`);
              },
              (error: Error) => setSaid({ tone: 'madder', words: error.message }),
            )
          }
        />
      </Row>
      {isLeaving ? (
        <LoadSheet
          outlet={outlet}
          rows={heads.map(({ tag, weight }) => ({ tag, kg: weight?.on === today ? weight.kg : undefined }))}
          species={species}
          today={today}
          currency={holding?.currency ?? ''}
          onClose={() => {
            setLeaving(false);
            void client.invalidateQueries({ queryKey: loadsQuery.queryKey });
          }}
        />
      ) : null}
      {isPaidDead(outlet.facts.payBy) && load.isGone ? (
        <Small>
          It has left. Once the kill sheet is there, <Link to="/holding/files?of=carcasses">read it</Link>.
        </Small>
      ) : null}
    </Page>
  );
}

const isFirst = (id: string, i: number, all: readonly string[]): boolean => all.indexOf(id) === i;

function leadText({ heads, facts, isGone }: PlannedLoadView, today: string): string {
  if (isGone) return `${countText(heads.length, 'head has', 'head have')} left.`;
  const aboard = facts.aboard?.length ?? 0;
  const when = `${facts.on < today ? 'Was to go on' : 'Goes on'} ${fullDate(facts.on)}`;
  return `${when}: ${countText(heads.length, 'head', 'head')}${aboard > 0 ? `, ${aboard} aboard` : ''}.`;
}
