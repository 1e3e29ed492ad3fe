import {
  AlignLeftOutlined as AlignLeftOutlinedIcon,
  TableOutlined as TableOutlinedIcon,
  ApartmentOutlined as ApartmentOutlinedIcon,
  ArrowUpOutlined as ArrowUpOutlinedIcon,
  BoldOutlined as BoldOutlinedIcon,
  BookOutlined as BookOutlinedIcon,
  CaretRightOutlined as CaretRightOutlinedIcon,
  CheckCircleFilled as CheckCircleFilledIcon,
  CheckOutlined as CheckOutlinedIcon,
  CloseCircleFilled as CloseCircleFilledIcon,
  CloseOutlined as CloseOutlinedIcon,
  CloudSyncOutlined as CloudSyncOutlinedIcon,
  CopyOutlined as CopyOutlinedIcon,
  DeleteOutlined as DeleteOutlinedIcon,
  DownloadOutlined as DownloadOutlinedIcon,
  ExclamationCircleOutlined as ExclamationCircleOutlinedIcon,
  EyeOutlined as EyeOutlinedIcon,
  FolderOpenOutlined as FolderOpenOutlinedIcon,
  HolderOutlined as HolderOutlinedIcon,
  ItalicOutlined as ItalicOutlinedIcon,
  LinkOutlined as LinkOutlinedIcon,
  OrderedListOutlined as OrderedListOutlinedIcon,
  PauseOutlined as PauseOutlinedIcon,
  PictureOutlined as PictureOutlinedIcon,
  PlusOutlined as PlusOutlinedIcon,
  QuestionCircleOutlined as QuestionCircleOutlinedIcon,
  RedoOutlined as RedoOutlinedIcon,
  ReloadOutlined as ReloadOutlinedIcon,
  SettingOutlined as SettingOutlinedIcon,
  StepBackwardOutlined as StepBackwardOutlinedIcon,
  StepForwardOutlined as StepForwardOutlinedIcon,
  UndoOutlined as UndoOutlinedIcon,
  UnorderedListOutlined as UnorderedListOutlinedIcon,
  NodeIndexOutlined as NodeIndexOutlinedIcon,
  VerticalAlignBottomOutlined as VerticalAlignBottomOutlinedIcon,
  WarningFilled as WarningFilledIcon,
  WarningOutlined as WarningOutlinedIcon,
} from '@ant-design/icons';
import type { ComponentType } from 'react';

interface IconProps {
  'aria-label'?: string;
}

/**
 * Icons stand beside words and say nothing of their own; with an `aria-label` they do. (The package names
 * every icon aloud, so that a button would be read "plus New lesson".)
 */
function beside(Icon: ComponentType<IconProps & { 'aria-hidden'?: boolean }>) {
  return function IconBesideWords(props: IconProps) {
    return <Icon {...props} aria-hidden={props['aria-label'] === undefined} />;
  };
}

export const AlignLeftOutlined = beside(AlignLeftOutlinedIcon);
export const TableOutlined = beside(TableOutlinedIcon);
export const ApartmentOutlined = beside(ApartmentOutlinedIcon);
export const NodeIndexOutlined = beside(NodeIndexOutlinedIcon);
export const VerticalAlignBottomOutlined = beside(VerticalAlignBottomOutlinedIcon);
export const ArrowUpOutlined = beside(ArrowUpOutlinedIcon);
export const BoldOutlined = beside(BoldOutlinedIcon);
export const BookOutlined = beside(BookOutlinedIcon);
export const CaretRightOutlined = beside(CaretRightOutlinedIcon);
export const CheckCircleFilled = beside(CheckCircleFilledIcon);
export const CheckOutlined = beside(CheckOutlinedIcon);
export const CloseCircleFilled = beside(CloseCircleFilledIcon);
export const CloudSyncOutlined = beside(CloudSyncOutlinedIcon);
export const CopyOutlined = beside(CopyOutlinedIcon);
export const DeleteOutlined = beside(DeleteOutlinedIcon);
export const DownloadOutlined = beside(DownloadOutlinedIcon);
export const ExclamationCircleOutlined = beside(ExclamationCircleOutlinedIcon);
export const EyeOutlined = beside(EyeOutlinedIcon);
export const FolderOpenOutlined = beside(FolderOpenOutlinedIcon);
export const HolderOutlined = beside(HolderOutlinedIcon);
export const ItalicOutlined = beside(ItalicOutlinedIcon);
export const LinkOutlined = beside(LinkOutlinedIcon);
export const OrderedListOutlined = beside(OrderedListOutlinedIcon);
export const PauseOutlined = beside(PauseOutlinedIcon);
export const PictureOutlined = beside(PictureOutlinedIcon);
export const PlusOutlined = beside(PlusOutlinedIcon);
export const QuestionCircleOutlined = beside(QuestionCircleOutlinedIcon);
export const RedoOutlined = beside(RedoOutlinedIcon);
export const ReloadOutlined = beside(ReloadOutlinedIcon);
export const SettingOutlined = beside(SettingOutlinedIcon);
export const StepBackwardOutlined = beside(StepBackwardOutlinedIcon);
export const StepForwardOutlined = beside(StepForwardOutlinedIcon);
export const UndoOutlined = beside(UndoOutlinedIcon);
export const UnorderedListOutlined = beside(UnorderedListOutlinedIcon);
export const WarningFilled = beside(WarningFilledIcon);
export const WarningOutlined = beside(WarningOutlinedIcon);
export const CloseOutlined = beside(CloseOutlinedIcon);
