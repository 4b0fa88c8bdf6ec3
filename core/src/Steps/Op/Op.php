<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps\Op;

/** One thing that a step does to a sheet, as data: docs/steps.md, "Ops". */
interface Op
{
}
