import { routes } from '@bright-keeper/contract';
import { surfaceTitle } from '../../ui/words';
import { useLookPhotos } from './queries';

/** The photographs of a look that is over, small; each opens as it is. */
export function LookPhotos({ lookId }: { lookId: string }) {
  const photos = useLookPhotos(lookId);
  if (!photos.data) return null;
  return (
    <ul className="my-1 flex flex-wrap gap-2">
      {photos.data.photos.map((p) => (
        <li key={p.id}>
          <a href={routes.blob(p.blob)} className="in-light block overflow-hidden rounded">
            <img src={routes.smallPicture(p.blob)} alt={surfaceTitle(p.surface)} className="h-20" />
          </a>
        </li>
      ))}
    </ul>
  );
}
