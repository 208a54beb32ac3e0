import { useQuery } from '@tanstack/react-query';
import { percentText, type PedigreeNode, type PedigreeView, say, fixedText } from '@yaylak/contract';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { animalQuery, holdingQuery, pedigreeQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { LineTable } from '../../parts/LineTable';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { Panel, Row, Small } from '../../parts/Panel';
import { Failed, Loading } from '../../parts/States';
import { Tag } from '../../parts/Tag';
import { useFirst } from '../../parts/useFirst';
import { colour, space } from '../../theme/tokens';
import { GeneTestSheet } from './GeneTestSheet';
import { MaleCheckSheet } from './MaleCheckSheet';
import { NamedTag } from '../../parts/NamedTag';
import { useInAddress } from '../../parts/useInAddress';
import { InbreedingHow } from '../../parts/hows/InbreedingHow';

const GENERATIONS = ['3', '4', '5'] as const;
const USUAL = '4';
const SHOWN = 16;

/** An animal's forebears, what its inbreeding comes of, and whom it may be put to. */
export function PedigreePage() {
  const { id = '' } = useParams();
  const [asked, setAsked] = useInAddress('generations');
  const generations = GENERATIONS.find((g) => g === asked) ?? USUAL;
  const { data, error, refetch } = useQuery({
    ...pedigreeQuery(id, Number(generations)),
    placeholderData: (before) => before,
  });
  const { data: animal } = useQuery(animalQuery(id));
  const [isTesting, setTesting] = useState(false);
  const [isChecking, setChecking] = useState(false);
  const { data: holding } = useQuery(holdingQuery);
  if (!data)
    return (
      <Page title={say('Pedigree')}>
        {error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />}
      </Page>
    );
  const self = data.nodes.find((n) => n.key === '');
  const name = self?.tag.name ?? self?.tag.text ?? '';
  const isMale = animal?.row.sex === 'male';
  return (
    <Page
      title={say('Whom does {name} come down from?', { name })}
      lead={say('{percent} inbred; {n} full generations known{value}.', {
        percent: percentText(data.inbreeding),
        n: fixedText(data.generations, 1),
        value: data.isShallow ? say(', so kinship may be higher than the figures') : '',
      })}
      actions={
        <>
          <LinkButton as={Link} to={`/animals/${id}`}>
            {say('Back to {name}', { name })}
          </LinkButton>
          {isMale ? <Button onPress={() => setChecking(true)}>{say('Check him before mating')}</Button> : null}
          <Button onPress={() => setTesting(true)}>{say('Record a gene test')}</Button>
        </>
      }
    >
      <Row $gap={3} style={{ alignItems: 'flex-end' }}>
        <Choice
          label={say('Generations')}
          value={generations}
          options={GENERATIONS.map((g) => [g, g])}
          onChange={(next) => setAsked(next === USUAL ? undefined : next)}
        />
        <Small>{say('A dashed frame: the same animal stands in more than one place.')}</Small>
      </Row>
      <Panel>
        <Tree nodes={data.nodes} generations={Number(generations)} />
      </Panel>
      <Ancestry view={data} />
      <Partners view={data} isMale={isMale} name={name} />
      {isChecking && self && holding ? (
        <MaleCheckSheet male={self} on={holding.today} onClose={() => setChecking(false)} />
      ) : null}
      {isTesting && self ? <GeneTestSheet tag={self.tag} view={data} onClose={() => setTesting(false)} /> : null}
    </Page>
  );
}

/** The tree, sires above dams, each generation a column. */
function Tree({ nodes, generations }: { readonly nodes: readonly PedigreeNode[]; readonly generations: number }) {
  const byKey = new Map(nodes.map((n) => [n.key, n]));
  // One column past the last that anything is known of: there it says so.
  const known = Math.max(...nodes.map((n) => n.key.length)) + 2;
  const columns = Math.min(generations, known);
  const keys = (g: number): string[] => (g === 0 ? [''] : keys(g - 1).flatMap((k) => [`${k}s`, `${k}d`]));
  return (
    <Columns style={{ gridTemplateColumns: `repeat(${columns}, minmax(120px, 1fr))` }}>
      {Array.from({ length: columns }, (_, g) => (
        <div key={g}>
          {keys(g).map((key) => {
            const node = byKey.get(key);
            // Beyond an unknown animal nothing is drawn: its place is enough.
            const isShown = node !== undefined || byKey.has(key.slice(0, -1));
            return (
              <Cell key={key} data-repeated={node?.isRepeated || undefined}>
                {node ? (
                  <>
                    <Row $gap={1}>
                      <Tag tag={node.tag} />
                      {node.tag.name}
                    </Row>
                    {node.inbreeding > 0 ? (
                      <Small>{say('{percent} inbred', { percent: percentText(node.inbreeding) })}</Small>
                    ) : null}
                    {node.genes.map((gene) => (
                      <Small key={gene.gene}>{geneWords(gene)}</Small>
                    ))}
                  </>
                ) : isShown ? (
                  <Small>{say('{value} not known', { value: key.endsWith('s') ? say('sire') : say('dam') })}</Small>
                ) : null}
              </Cell>
            );
          })}
        </div>
      ))}
    </Columns>
  );
}

function geneWords({ gene, tested, carries, about, countsAs }: PedigreeNode['genes'][number]): string {
  if (countsAs)
    return say('{gene}: tests contradict, counts as {value}', {
      gene,
      value: countsAs === 'affected' ? say('affected') : say('a carrier'),
    });
  if (tested && tested !== 'unaffected') return say('{gene}: {tested}, tested', { gene, tested });
  const chance = about
    ? say('about {list}', { list: about.map(percentText).join(` ${say('to')} `) })
    : percentText(carries);
  return say('{gene}:{value} may carry, {chance}', { gene, value: tested ? ` ${say('not affected,')}` : '', chance });
}

function Ancestry({ view }: { readonly view: PedigreeView }) {
  if (view.ancestors.length === 0) return null;
  return (
    <Panel>
      <h2>
        {say('Where the two lines meet')}
        <InbreedingHow of={say('Where the lines meet')} />
      </h2>
      <Row $gap={4}>
        {view.ancestors.map((a) => (
          <Row key={a.tag.animalId} $gap={1}>
            <Tag tag={a.tag} /> {a.tag.name} <b>{percentText(a.inbreeding)}</b>
          </Row>
        ))}
      </Row>
    </Panel>
  );
}

function Partners({
  view,
  isMale,
  name,
}: {
  readonly view: PedigreeView;
  readonly isMale: boolean;
  readonly name: string;
}) {
  const { shown, more } = useFirst(view.partners, SHOWN);
  if (view.partners.length === 0) return null;
  const allowed = view.partners.filter((p) => p.refusal === null).length;
  return (
    <Panel>
      <h2>
        {say('{value} ({allowed} of {n})', {
          value: isMale ? say('Whom may {name} serve?', { name }) : say('Males for {name}', { name }),
          allowed,
          n: view.partners.length,
        })}
      </h2>
      <LineTable>
        <thead>
          <tr>
            <th>{isMale ? say('Female') : say('Male')}</th>
            <th>{say('Group')}</th>
            <th>
              {say('Young inbred')} <InbreedingHow of={say('Young inbred')} />
            </th>
            <th>{say('Against it')}</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((p) => (
            <tr key={p.tag.animalId}>
              <td>
                <NamedTag tag={p.tag} />
              </td>
              <td>{p.groupName ?? ''}</td>
              <td>{p.refusal === null ? percentText(p.inbreeding) : <s>{percentText(p.inbreeding)}</s>}</td>
              <td>{p.refusal ?? (p.isReady ? say('nothing') : say('not ready today'))}</td>
            </tr>
          ))}
        </tbody>
      </LineTable>
      {more}
    </Panel>
  );
}

const Columns = styled.div`
  display: grid;
  gap: ${space(3)};
  overflow-x: auto;
  & > div {
    display: flex;
    flex-direction: column;
  }
`;
const Cell = styled.div`
  flex: 1;
  display: flex;
  flex-direction: column;
  justify-content: center;
  min-height: 52px;
  padding: ${space(1)} ${space(2)};
  border-left: 2px solid ${colour('line')};
  &[data-repeated] {
    outline: 2px dashed ${colour('madder')};
    outline-offset: -3px;
    border-radius: 6px;
  }
`;
