import type { BoardCommands } from '../useBoardCommands';

interface Deps {
  /** Ids of board and page. */
  board: string;
  page: string;
  grows: boolean;
  staff: boolean;
  mayDraw: boolean;
  commands: BoardCommands;
  onPanel: (panel: 'overview' | 'people' | 'earlier') => void;
  onPage: (page: string) => void;
  onSave: (address: string) => void;
}

/** @returns what may be done with a page besides drawing on it, by name */
export function pageMenu(deps: Deps): [name: string, act: () => void][] {
  const { board, page, grows, staff, mayDraw, commands, onPanel, onPage, onSave } = deps;
  const looking: [string, () => void][] = [
    ['All pages', () => onPanel('overview')],
    ['Who drew what', () => onPanel('people')],
  ];
  const lookingBack: [string, () => void][] = [['Look back', () => onPanel('earlier')]];
  const changing: [string, () => void][] = [
    ['Add a page', () => void commands.addPage(page).then((fresh) => fresh && onPage(fresh))],
    [grows ? 'Keep the page at its size' : 'Let the page grow', () => void commands.setGrows(page, !grows)],
    ['Clear this page', () => void commands.clear(page)],
  ];
  const saving: [string, () => void][] = [
    ['Save the board as PDF', () => onSave(`/api/boards/${board}.pdf`)],
    ['Save the page as SVG', () => onSave(`/api/boards/${board}/${page}.svg`)],
    ['Save the page as PNG', () => onSave(`/api/boards/${board}/${page}.png`)],
  ];
  return [...looking, ...(staff ? lookingBack : []), ...(staff && mayDraw ? changing : []), ...saving];
}
