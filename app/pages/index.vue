<template><main>shelf</main></template>
