<?php

declare(strict_types=1);

namespace AwakeShed\App\Drawing;

/** Something laid out for a template to draw. */
interface Drawing
{
    /** The template's name, without folder and ending: "jar" for templates/drawing/jar.svg.twig. */
    public function template(): string;
}
