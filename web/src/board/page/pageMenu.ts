import type { BoardCommands } from '../useBoardCommands';

interface Deps {
  /** Ids of board and page. */
  board: string;
  page: string;
  grows: boolean;
  /** Whether the board, and whether the page, is locked for students. */
  locked: { board: boolean; page: boolean };
  staff: boolean;
  mayDraw: boolean;
  mayAdd: boolean;
  commands: BoardCommands;
  onPanel: (panel: 'overview' | 'people' | 'earlier') => void;
  onPage: (page: string) => void;
  onSave: (address: string) => void;
}

/** @returns what may be done with a page besides drawing on it, by name */
export function pageMenu(deps: Deps): [name: string, act: () => void][] {
  const { board, page, grows, locked, staff, mayDraw, mayAdd, commands, onPanel, onPage, onSave } = deps;
  const looking: [string, () => void][] = [
    ['All pages', () => onPanel('overview')],
    ['Who drew what', () => onPanel('people')],
  ];
  const lookingBack: [string, () => void][] = [['Look back', () => onPanel('earlier')]];
  const adding: [string, () => void][] = [
    ['Add a page', () => void commands.addPage(page).then((fresh) => fresh && onPage(fresh))],
  ];
  const changing: [string, () => void][] = [
    [grows ? 'Keep the page at its size' : 'Let the page grow', () => void commands.setGrows(page, !grows)],
    [locked.page ? 'Open this page to students again' : 'Lock this page', () => void commands.lock(!locked.page, page)],
    [locked.board ? 'Open the board to students again' : 'Lock the board', () => void commands.lock(!locked.board)],
    ['Clear this page', () => void commands.clear(page)],
  ];
  const saving: [string, () => void][] = [
    ['Save the board as PDF', () => onSave(`/api/boards/${board}.pdf`)],
    ['Save the page as SVG', () => onSave(`/api/boards/${board}/${page}.svg`)],
    ['Save the page as PNG', () => onSave(`/api/boards/${board}/${page}.png`)],
  ];
  return [
    ...looking,
    ...(staff ? lookingBack : []),
    ...(mayAdd ? adding : []),
    ...(staff && mayDraw ? changing : []),
    ...saving,
  ];
}
