<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\Shared;

use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Request\SizingRequest;
use Gimbo\Core\Tool\Tools;

/** What other tools would mend. */
final class ToolRemedies
{
    /** A trimmer with the step that most have. */
    public static function finerTrimmer(SizingRequest $request): Remedy
    {
        return new Remedy('finer-trimmer', ['/tools/cut' => LengthFormatter::for($request->system)->text(Tools::usual($request->system)->cut->size)]);
    }
}
