import { sensor } from '@bright-keeper/core';
import { useNavigate, useParams } from 'react-router';

const { discs, discShare } = sensor.GLARE_CARD;

/** The card, as large as the screen: black discs on white. A tap or a key goes back. */
export function GlareCardPage() {
  const { id = '' } = useParams();
  const navigate = useNavigate();
  const back = () => void navigate(`/gear/${id}/glare`);
  return (
    <button
      type="button"
      autoFocus
      className="fixed inset-0 block size-full cursor-none bg-white p-0"
      aria-label="The glare card: black discs on white. Press to go back."
      onClick={back}
      onKeyDown={(e) => e.key === 'Escape' && back()}
    >
      {discs.map(({ x, y }) => (
        <span
          key={`${x} ${y}`}
          className="absolute -translate-1/2 rounded-full bg-black"
          style={{ left: `${x * 100}%`, top: `${y * 100}%`, height: `${discShare * 100}vh`, width: `${discShare * 100}vh` }}
        />
      ))}
    </button>
  );
}
