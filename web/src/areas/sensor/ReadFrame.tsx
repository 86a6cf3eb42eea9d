import { glareTroubleWords } from '@bright-keeper/words';
import type { Told } from '../../workers/frame.worker';
import { FileDrop } from '../../ui/FilePicker';
import { Fold } from '../../ui/Fold';
import { Button, Notice } from '../../ui/parts';
import type { Failed, Reading } from './useReading';

export const PICTURES = 'image/jpeg,image/png,image/tiff,image/webp,image/heic,.tif,.tiff,.dng,.heic';

const UNREADABLE: Record<Extract<Told<never>, { unreadable: unknown }>['unreadable'], string> = {
  'not-a-picture': 'This is no JPEG, PNG, TIFF or WebP, whatever its name says.',
  'broken-off': 'This file breaks off or is damaged. Copy it from the card once more.',
  'too-large': 'This picture has more than 110 megapixels, or says so. Take the file as the camera wrote it.',
  'too-small': 'This picture is too small to find specks in. Take the file as the camera wrote it.',
  cmyk: 'This is a picture for print (CMYK). Take the file as the camera wrote it, or save it as RGB.',
  unsupported:
    'This kind of TIFF or raw file cannot be read, and there is no large picture in it: grey or RGB with 8 or 16 bits can. Let the camera write JPEG beside it.',
  heic: 'This HEIC cannot be measured: it is broken, mirrored, or made for a bright screen (HDR). Let the camera write JPEG.',
};

/** Why a picture could not be read, in words. */
function whyWords(why: Failed['why']): string {
  if ('unreadable' in why) return UNREADABLE[why.unreadable];
  if ('trouble' in why) return glareTroubleWords(why.trouble);
  return 'fault' in why ? `Reading it failed: ${why.fault}.` : '';
}

/** How a frame is taken that shows what is there. */
const Guide = () => (
  <div className="sheet">
    <Fold title="How to take a good frame">
      <div className="space-y-2 px-4 pb-4">
        <ol className="list-decimal space-y-1 pl-5">
          <li>Close the aperture to f/16 or f/22, sensitivity at its lowest, long focal length if there is one.</li>
          <li>Point it at something plain and bright: an even sky, a white wall, an empty screen. Focus as far off it as the lens goes.</li>
          <li>
            Expose one to two stops over what the meter says, so that it is bright and not clipped. Move the camera while it exposes: only
            what lies on the sensor stays sharp.
          </li>
          <li>
            Take the file as the camera wrote it, in full size, and switch off what maps dust away in the camera. The same lens and zoom
            each time, so that frames can be compared.
          </li>
          <li>
            To tell the sensor from the lens, take three in one go: two with one lens, the camera pointed elsewhere for the second, and one
            with another lens.
          </li>
        </ol>
        <p className="text-soft">
          By eye: at full magnification, panel after panel from a corner along the rows; a speck shows as a soft round shadow.
        </p>
      </div>
    </Fold>
  </div>
);

/** What is being read, how many wait after it, and what could not be. */
export function ReadingState({ reading, failed, waiting, onCancel }: Omit<Props, 'onRead'>) {
  return (
    <>
      {reading.state === 'reading' && (
        <div className="sheet flex flex-wrap items-center gap-4 p-4">
          <label className="min-w-48 flex-1">
            <span className="mb-1 block">
              Reading {reading.name}
              {waiting > 0 && `, ${waiting} more after it`}
            </span>
            <progress className="h-2 w-full" max={1} value={reading.done} />
          </label>
          <Button onClick={onCancel}>Stop</Button>
        </div>
      )}
      {failed.map(({ name, why }, i) => (
        <Notice key={i} tone="attention">
          <b>{name}:</b> {whyWords(why)}
        </Notice>
      ))}
    </>
  );
}

type Props = {
  reading: Reading<unknown>;
  failed: readonly Failed[];
  waiting: number;
  onRead: (files: File[]) => void;
  onCancel: () => void;
};

/** Frames are dropped or chosen, and read while the page goes on. */
export const ReadFrame = ({ onRead, ...state }: Props) => (
  <div className="space-y-3">
    <FileDrop accept={PICTURES} name={undefined} multiple onChoose={(_, all) => onRead(all)}>
      <span className="text-sm text-soft">
        JPEG, HEIC, PNG, TIFF or the picture inside a raw file like it, up to 110 megapixels. They never leave this machine.
      </span>
    </FileDrop>
    <ReadingState {...state} />
    <Guide />
  </div>
);
