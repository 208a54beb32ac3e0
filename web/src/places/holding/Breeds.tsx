import { useQuery } from '@tanstack/react-query';
import type { HoldingView } from '@yaylak/contract';
import { FAT_GROUPS, normalised, type Breed, type FatGroup, type Species } from '@yaylak/core';
import { useState } from 'react';
import { strainsQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { LineTable } from '../../parts/LineTable';
import { Panel, Row, Small } from '../../parts/Panel';
import { useUnsaved } from '../../parts/unsaved';
import type { SaveHolding } from '../../parts/useSaveHolding';
import { FAT_GROUP_WORDS } from '../../words/results';
import { useFirstSpecies, useSpeciesOptions } from '../../words/useHolding';
import { say } from '@yaylak/contract';

interface Props {
  readonly holding: HoldingView;
  readonly onSave: SaveHolding;
}

const GROUPS = FAT_GROUPS.map((g) => [g, FAT_GROUP_WORDS[g]] as const);

/** Breeds and kinds the holding tells apart: how early each lays on fat, and what graders are held against. */
export function Breeds({ holding, onSave }: Props) {
  const speciesOptions = useSpeciesOptions();
  const [species, setSpecies] = useState<Species>(useFirstSpecies());
  const [name, setName] = useState('');
  const [group, setGroup] = useState<FatGroup>('middle');
  const [problem, setProblem] = useState<string>();
  const { data: strains = [] } = useQuery(strainsQuery);
  useUnsaved(name !== '');
  const { breeds } = holding.species[species];
  const save = async (next: readonly Breed[]): Promise<void> => {
    const own = { ...holding.overrides[species], breeds: next };
    const refused = await onSave({ species: { ...holding.overrides, [species]: own } });
    setProblem(refused);
    if (refused === undefined) setName('');
  };
  const unnamed = strains.filter((s) => !breeds.some((b) => normalised(b.name) === normalised(s)));
  return (
    <Panel>
      <Row style={{ justifyContent: 'space-between' }}>
        <h2>{say('Breeds and kinds')}</h2>
        <Choice label={say('Breeds of')} isLabelHidden value={species} options={speciesOptions} onChange={setSpecies} />
      </Row>
      {breeds.length > 0 ? (
        <LineTable aria-label={say('Breeds')}>
          <tbody>
            {breeds.map((b) => (
              <tr key={b.name}>
                <td>{b.name}</td>
                <td>
                  <Choice
                    label={say('How early {name} lays on fat', { name: b.name })}
                    isLabelHidden
                    value={b.fatGroup}
                    options={GROUPS}
                    onChange={(fatGroup) => void save(breeds.map((x) => (x.name === b.name ? { ...x, fatGroup } : x)))}
                  />
                </td>
                <td>
                  <Button
                    kind="quiet"
                    aria-label={say('Take out the breed {name}', { name: b.name })}
                    onPress={() => void save(breeds.filter((x) => x.name !== b.name))}
                  >
                    {say('Take out')}
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </LineTable>
      ) : null}
      <form
        onSubmit={(e) => {
          e.preventDefault();
          void save([...breeds, { name: name.trim(), fatGroup: group }]);
        }}
      >
        <Row $gap={3} style={{ alignItems: 'flex-end' }}>
          <Field label={say('Breed or kind')} value={name} onChange={setName} list="breed-names" />
          <datalist id="breed-names">
            {unnamed.map((s) => (
              <option key={s} value={s} />
            ))}
          </datalist>
          <Choice label={say('Lays on fat')} value={group} options={GROUPS} onChange={setGroup} />
          <Button type="submit" isDisabled={name.trim() === ''}>
            {say('Add the breed')}
          </Button>
        </Row>
      </form>
      <Small>
        {say('Written as on the animals. One not listed counts as the species usually does ({fat}).', {
          fat: FAT_GROUP_WORDS[holding.species[species].selling.fatGroup],
        })}
      </Small>
      {problem ? <p role="alert">{problem}</p> : null}
    </Panel>
  );
}
