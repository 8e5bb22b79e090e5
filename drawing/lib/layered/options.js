/** What was found to draw these circuits best; other values were measured and are worse. */
export const options = {
  'elk.algorithm': 'layered',
  'elk.direction': 'DOWN',
  'elk.edgeRouting': 'ORTHOGONAL',
  'elk.layered.thoroughness': '30',
  'elk.layered.nodePlacement.strategy': 'NETWORK_SIMPLEX',
  'elk.padding': '[top=30,left=30,bottom=30,right=30]',
  'elk.spacing.nodeNode': '24',
  'elk.spacing.edgeEdge': '14',
  'elk.spacing.edgeNode': '16',
  'elk.spacing.labelNode': '4',
  'elk.spacing.edgeLabel': '2',
  'elk.layered.spacing.nodeNodeBetweenLayers': '40',
  'elk.layered.spacing.edgeEdgeBetweenLayers': '15',
  'elk.layered.spacing.edgeNodeBetweenLayers': '16',
}
