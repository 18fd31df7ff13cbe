import { createContext } from 'svelte';
import type { DayListView } from './dayList.svelte';

/** The day's list that the pages of a job share. */
export const [getDayList, setDayList] = createContext<DayListView>();
