<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\Remedy;

/** Something that can go with a make: what must be known of it to read an entry of `with`. */
interface AddedOffer
{
    /** @return non-empty-string its role in a spec */
    public function id(): string;

    /** @return list<Row> what may be said of it besides id and role; what it lies on stands in `on` */
    public function rows(): array;

    /**
     * What mends a fit of an entry of it besides less of it or leaving it away; nothing here was tried yet.
     *
     * @return list<Remedy>
     */
    public function remedies(Fit $fit, Addition $addition): array;

    /** Whether it must say on what it lies. */
    public function needsPlace(): bool;

    /** Whether it lies on a panel and makes it thicker. */
    public function isLayer(): bool;

    /** Whether others like it may lie on it. */
    public function carries(): bool;
}
