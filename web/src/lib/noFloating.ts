/**
 * Stands in the build for the package that works out where a panel lies: the controls bring it along, a twentieth of
 * all that the page is, and the browser does it from the style sheet (see `.beside` there).
 */
const nothing = () => null
const props = (given: object = {}) => given
const ignore = () => undefined
const refs = { setReference: ignore, setFloating: ignore }
const floating = { refs, floatingStyles: {}, context: { placement: 'bottom', elements: {} } }
const interactions = { getReferenceProps: props, getFloatingProps: props }

export const useFloating = () => floating
export const useInteractions = () => interactions
export const useInnerOffset = nothing
export {
  nothing as autoUpdate,
  nothing as flip,
  nothing as inner,
  nothing as offset,
  nothing as shift,
  nothing as size,
}
