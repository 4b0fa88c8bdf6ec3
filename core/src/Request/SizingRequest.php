<?php

declare(strict_types=1);

namespace Gimbo\Core\Request;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Paper\Paper;
use Gimbo\Core\Tool\Tools;

/** Everything sizing needs to know, read and complete. */
final readonly class SizingRequest
{
    /**
     * @param array<string, mixed> $spec the document it was read from
     * @param ?Length $border what shows around each mat; null where no mats are asked for
     */
    public function __construct(
        public string $make,
        public Item $item,
        public Clearance $clearance,
        public Paper $paper,
        public System $system,
        public Tools $tools,
        public Options $options,
        public array $spec,
        public ?Length $border = null,
        public ClosureKind $closure = ClosureKind::None,
    ) {
    }
}
