import { Picker, type Pick, type PickerProps } from './Picker'
import { SmallSection } from './SmallSection'

/** A kind of cut as its small section shows it. */
export interface CutPick extends Pick {
  shape: string
  bone: string
  cover: string
  thickness_mm: number
}

/** A cut picked by name, each with its section to scale. */
export function CutPicker(props: Omit<PickerProps<CutPick>, 'picture'>) {
  return (
    <Picker
      {...props}
      picture={({ shape, bone, cover, thickness_mm }) => (
        <SmallSection shape={shape} bone={bone} cover={cover} thicknessMm={thickness_mm} />
      )}
    />
  )
}
