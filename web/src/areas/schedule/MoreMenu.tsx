import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { schedule } from '@bright-keeper/core';
import { MoreVertical } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { useNavigate } from 'react-router';
import { useToday } from '../../ui/zone';
import { deedOf } from './dutyRoute';
import { MORE_CLASS, moreAbout, type MoreProps } from './LazyMoreMenu';

const WEEK = 7;
const MONTH = 30;

/** What else can be said of it: later, not this time, or another rhythm. */
export function MoreMenu({ duty, deeds, onPassOver, onEarlier, openAtOnce }: MoreProps & { openAtOnce: boolean }) {
  const today = useToday();
  const navigate = useNavigate();
  const button = useRef<HTMLButtonElement>(null);
  // It was asked for before its code had come.
  useEffect(() => {
    if (openAtOnce) button.current?.click();
  }, [openAtOnce]);
  const entries: [string, () => void][] = [
    ['Put off for a week', () => deeds.putOff(duty, schedule.addDays(today, WEEK))],
    ['Put off for a month', () => deeds.putOff(duty, schedule.addDays(today, MONTH))],
  ];
  const deed = deedOf(duty);
  if ('does' in deed && (deed.does === 'mark' || deed.does === 'wash')) entries.unshift(['Done, but earlier…', onEarlier]);
  if (schedule.MAY_BE_LIVED_WITH.includes(duty.code)) entries.push(['I live with it', () => deeds.passOver(duty, 'lived-with')]);
  if (schedule.dutyFacts(duty.code).rhythm) {
    entries.push(['Not needed this time', () => deeds.passOver(duty, 'not-needed')]);
    entries.push(['Done elsewhere', () => deeds.passOver(duty, 'done-elsewhere')]);
    entries.push(['Not this time, because…', onPassOver]);
    entries.push(['Change its rhythm', () => void navigate(`/calendar/rhythms?duty=${duty.code}&of=${duty.subject.id}`)]);
  }
  return (
    <Menu>
      <MenuButton ref={button} className={MORE_CLASS} aria-label={moreAbout(duty)}>
        <MoreVertical size={20} aria-hidden="true" />
      </MenuButton>
      <MenuItems anchor="bottom end" className="sheet z-20 w-60 py-1 outline-none">
        {entries.map(([words, onClick]) => (
          <MenuItem key={words}>
            <button type="button" className="block min-h-11 w-full px-4 text-left data-focus:bg-well" onClick={onClick}>
              {words}
            </button>
          </MenuItem>
        ))}
      </MenuItems>
    </Menu>
  );
}
