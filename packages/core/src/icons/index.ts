export {
  ICON_FIELD,
  ICON_NAMES,
  ICON_SETS,
  type IconName,
  type IconSet,
  type IconSetName,
  iconSetNamed,
  isIconName,
} from './icon.ts';
