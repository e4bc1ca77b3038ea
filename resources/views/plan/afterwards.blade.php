<template data-level><x-level :level="$level"/></template>
@include('plan.freeing')
@include('plan.ranges')
