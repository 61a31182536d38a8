import { Tab, TabList } from '@headlessui/react'

/** The names of the drawers beside a stage, as tabs. */
export function DrawerTabs({ names }: { names: readonly string[] }) {
  return (
    <TabList className="flex flex-wrap border-b-4 border-double border-rule">
      {names.map((name) => (
        <Tab
          key={name}
          className="min-h-12 cursor-pointer rounded-t-md px-2.5 font-semibold text-quiet data-selected:bg-enamel data-selected:text-on-enamel"
        >
          {name}
        </Tab>
      ))}
    </TabList>
  )
}
