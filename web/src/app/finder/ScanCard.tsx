import { useEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import { watchCodes } from '../../adapters/readings/camera';
import { Wrong } from '../../parts/Wrong';
import { Small } from '../../parts/Panel';
import { animalOfCard } from '../../shared/nav/cardAddress';
import { radius } from '../../theme/tokens';
import { say } from '@yaylak/contract';

interface Props {
  readonly onAnimal: (animalId: string) => void;
}

/** The camera, held at the card of a pen: opens the animal whose code it reads. */
export function ScanCard({ onAnimal }: Props) {
  const video = useRef<HTMLVideoElement>(null);
  const [problem, setProblem] = useState<string>();
  const latest = useRef(onAnimal);
  // A code must meet the handler of the last render; the camera is outside React.
  useEffect(() => {
    latest.current = onAnimal;
  });
  useEffect(() => {
    let isOver = false;
    let stop = (): void => undefined;
    const onCode = (code: string): void => {
      const animalId = animalOfCard(code);
      if (animalId === undefined)
        setProblem(say('That code is not of a pen card. Hold the card of the pen to the camera.'));
      else latest.current(animalId);
    };
    if (video.current)
      watchCodes(video.current, onCode).then(
        (how) => {
          stop = how;
          if (isOver) stop();
        },
        () => setProblem(say('The camera is not given. Allow it in the browser, or type the number.')),
      );
    return () => {
      isOver = true;
      stop();
    };
  }, []);
  return (
    <>
      <Seen ref={video} muted playsInline aria-label={say('What the camera sees')} />
      {problem === undefined ? (
        <Small>{say('Hold the code of a pen card to the camera.')}</Small>
      ) : (
        <Wrong role="alert">{problem}</Wrong>
      )}
    </>
  );
}

const Seen = styled.video`
  width: 100%;
  max-height: 50vh;
  border-radius: ${radius};
  background: #000;
`;
