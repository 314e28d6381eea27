export * from './balance/blockedPosts.ts';
export * from './balance/bodyModel.ts';
export * from './balance/bodyTables.ts';
export * from './balance/checkSweep.ts';
export * from './balance/convexHull.ts';
export * from './balance/stances.ts';
export * from './balance/tipping.ts';
export * from './balance/tippingProfile.ts';
export * from './balance/topSetup.ts';
export * from './balance/weakestArc.ts';
export * from './body/afterReaction.ts';
export * from './body/followSteps.ts';
export * from './body/landingWords.ts';
export * from './body/limbConflicts.ts';
export * from './body/mirror.ts';
export * from './body/playable.ts';
export * from './body/releaseContacts.ts';
export * from './body/translateApparel.ts';
export * from './body/words.ts';
export * from './check/finding.ts';
export * from './check/holes.ts';
export * from './check/validateMap.ts';
export * from './contract/openApi.ts';
export * from './contract/route.ts';
export * from './contract/routes.ts';
export * from './contract/shapes.ts';
export * from './documents/applyCommand.ts';
export * from './documents/applyCommand.ts';
export {
  type BatchCommand,
  batch,
  type Command,
  CommandSchema,
  type DescribeCommand,
  describe as describeHead,
  type FieldChange,
  type PutCommand,
  place,
  put,
  type RemoveCommand,
  remove,
  removeAlone,
  type SetCommand,
  set as setFields,
} from './documents/command.ts';
export * from './documents/defineDocument.ts';
export * from './documents/describeChange.ts';
export * from './documents/diffDocuments.ts';
export * from './documents/documentIssues.ts';
export * from './documents/documentIssues.ts';
export * from './documents/documentKinds.ts';
export * from './documents/duplicate.ts';
export * from './documents/edit.ts';
export * from './documents/entities.ts';
export * from './documents/fieldChanges.ts';
export * from './documents/fields.ts';
export * from './documents/fieldValue.ts';
export * from './documents/issue.ts';
export * from './documents/issue.ts';
export * from './documents/rebase.ts';
export * from './documents/zodIssues.ts';
export * from './documents/zodIssues.ts';
export * from './drill/blockTime.ts';
export * from './drill/chooseWithin.ts';
export * from './drill/coverArcs.ts';
export * from './drill/coverChains.ts';
export * from './drill/fillReps.ts';
export * from './drill/linkOf.ts';
export * from './drill/matRun.ts';
export * from './drill/planClass.ts';
export * from './drill/setupLength.ts';
export * from './formats/lineSyntax.ts';
export * from './formats/mapFile.ts';
export * from './formats/mapJsonSchema.ts';
export * from './formats/printGraphml.ts';
export * from './formats/printLines.ts';
export * from './formats/readLines.ts';
export * from './formats/setAnswer.ts';
export * from './formats/weighingSheet.ts';
export * from './formats/writeAnswer.ts';
export * from './game/absorption.ts';
export * from './game/restrictedResponse.ts';
export * from './game/seeded.ts';
export * from './game/shortestPaths.ts';
export * from './game/solveLook.ts';
export * from './game/solveMatrixGame.ts';
export * from './game/solveStochasticGame.ts';
export * from './game/stochasticGame.ts';
export * from './model/answerTo.ts';
export * from './model/chain.ts';
export * from './model/classPlan.ts';
export * from './model/club.ts';
export * from './model/contacts.ts';
export * from './model/exchange.ts';
export * from './model/freshId.ts';
export * from './model/hazards.ts';
export * from './model/hold.ts';
export * from './model/holdPattern.ts';
export * from './model/indexMap.ts';
export * from './model/joint.ts';
export * from './model/map.ts';
export * from './model/move.ts';
export * from './model/notes.ts';
export * from './model/opponent.ts';
export * from './model/outcome.ts';
export * from './model/position.ts';
export * from './model/primitives.ts';
export * from './model/reaction.ts';
export * from './model/rulesProfile.ts';
export * from './model/scenario.ts';
export * from './model/seconds.ts';
export * from './model/signs.ts';
export * from './read/nearestPositions.ts';
export * from './read/readAsTop.ts';
export * from './read/readMove.ts';
export * from './read/readReaction.ts';
export * from './read/suggestAnswers.ts';
export * from './rules/legality.ts';
export * from './rules/loadedJoints.ts';
export * from './rules/shippedProfiles.ts';
export * from './weigh/bestChains.ts';
export * from './weigh/exchangeWorths.ts';
export * from './weigh/findDilemmas.ts';
export * from './weigh/findHoles.ts';
export * from './weigh/holdDependence.ts';
export * from './weigh/mapGame.ts';
export * from './weigh/outcomeOdds.ts';
export * from './weigh/outcomePoints.ts';
export * from './weigh/pointsText.ts';
export * from './weigh/scenarioOptions.ts';
export * from './weigh/sensitivity.ts';
export * from './weigh/solveForTrusts.ts';
export * from './weigh/solveMap.ts';
export * from './weigh/topSheet.ts';
export * from './weigh/toStochasticGame.ts';
export * from './weigh/visitRates.ts';
export * from './weigh/weighMap.ts';
